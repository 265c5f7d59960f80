import { describe, expect, it } from 'vitest';
import { costPerGoodKg } from '../../stations/cost/quantities';
import { markQuantity } from '../../stations/prints/marks/marks';
import type { RankedFinding } from '../pick/ranked-finding';
import type { Candidate } from '../pick/types';
import { besideFellows } from './beside-fellows';

const [overhang, strings, odour] = [markQuantity('overhang'), markQuantity('strings'), markQuantity('printOdour')];
const found = (mean: number, standardError: number, more: Partial<RankedFinding> = {}): RankedFinding => ({
	estimate: mean,
	n: 3,
	interval: { low: mean - 2 * standardError, high: mean + 2 * standardError, level: 0.95, kind: 'credible' },
	sampling: { kind: 't', mean, standardError, df: null },
	shared: [],
	method: 'posterior',
	...more
});
const spool = (code: string, findings: Candidate['findings']): Candidate => ({ spoolId: code, code, findings });

describe('a spool beside its fellows', () => {
	it('says how many are clearly worse and better; less is better where it is', () => {
		const own = spool('HU4', { overhang: found(65, 1), strings: found(1, 0.1) });
		const fellows = [50, 64, 66, 79].map((mean, i) => spool(`F${i}`, { overhang: found(mean, 1), strings: found(i, 0.1) }));
		const [angles, threads] = besideFellows(own, fellows, [overhang, strings]);
		expect([angles?.worse, angles?.better]).toEqual([1, 1]);
		expect([threads?.worse, threads?.better]).toEqual([2, 1]);
		expect(angles?.fellows).toHaveLength(4);
	});
	it('lies from the worst to the best end of the scale, its range turned where less is better', () => {
		const [angles, threads] = besideFellows(spool('A', { overhang: found(60, 2.5), strings: found(1, 0.25) }), [], [overhang, strings]);
		// 30 to 80 degrees; four words from none.
		expect([angles?.value, angles?.low, angles?.high]).toEqual([0.6, 0.5, 0.7]);
		expect([threads?.value, threads?.low, threads?.high].map((x) => Number(x?.toFixed(6)))).toEqual([0.666667, 0.5, 0.833333]);
	});
	it('many fellows are told apart together: 2.1 standard errors are enough for one, not for twenty', () => {
		const own = spool('A', { overhang: found(60 + 2.1 * Math.SQRT2, 1) });
		const fellows = (n: number) => Array.from({ length: n }, (_, i) => spool(`F${i}`, { overhang: found(60, 1) }));
		expect(besideFellows(own, fellows(1), [overhang])[0]?.worse).toBe(1);
		expect(besideFellows(own, fellows(20), [overhang])[0]?.worse).toBe(0);
	});
	it('only what was measured, of what tells of a family; a fellow without it is none', () => {
		const own = spool('A', { overhang: found(60, 1), printOdour: found(1, 0.1) });
		const fellows = [spool('B', {}), spool('C', { overhang: found(40, 1, { n: 0 }) }), spool('D', { overhang: found(40, 1) })];
		const lines = besideFellows(own, fellows, [overhang, strings, odour, costPerGoodKg({ costReference: null })]);
		expect(lines.map((l) => [l.quantity, l.fellows.length, l.worse])).toEqual([['overhang', 1, 1]]);
		expect(besideFellows(spool('A', { overhang: found(60, 1, { method: 'handbook' }) }), [], [overhang])).toEqual([]);
	});
	it('without a range stands where it is', () => {
		const [line] = besideFellows(spool('A', { overhang: found(60, 1, { interval: null }) }), [], [overhang]);
		expect([line?.low, line?.value, line?.high]).toEqual([0.6, 0.6, 0.6]);
	});
});
