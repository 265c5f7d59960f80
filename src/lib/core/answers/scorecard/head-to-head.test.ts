import { describe, expect, it } from 'vitest';
import { basis } from '../../../../../tests/support/evidence';
import { diameterMean } from '../../stations/diameter/quantities';
import { markQuantity } from '../../stations/prints/marks/marks';
import type { RankedFinding } from '../pick/ranked-finding';
import { headToHead } from './head-to-head';

const [overhang, bridge, strings] = [markQuantity('overhang'), markQuantity('bridge'), markQuantity('strings')];
const found = (mean: number, standardError: number, more: Partial<RankedFinding> = {}): RankedFinding => ({
	estimate: mean,
	n: 3,
	interval: null,
	sampling: { kind: 't', mean, standardError, df: null },
	shared: [],
	method: 'posterior',
	...more
});

describe('two spools side by side', () => {
	it('better, worse, alike enough and not told apart, each where it belongs', () => {
		const a = { overhang: found(70, 1), bridge: found(30, 1), strings: found(1, 0.8) };
		const b = { overhang: found(60, 1), bridge: found(30.5, 1), strings: found(2, 0.8) };
		expect(headToHead(a, b, [overhang, bridge, strings])).toEqual({
			better: ['overhang'],
			worse: [],
			alike: ['bridge'],
			open: ['strings']
		});
		expect(headToHead(b, a, [overhang, bridge, strings])).toEqual({
			better: [],
			worse: ['overhang'],
			alike: ['bridge'],
			open: ['strings']
		});
	});
	it('less is better where it is, and nearer where nearest is', () => {
		const diameter = diameterMean(basis);
		const a = { strings: found(0, 0.1), diameterMean: found(1.75, 0.001) };
		const b = { strings: found(3, 0.1), diameterMean: found(1.71, 0.001) };
		expect(headToHead(a, b, [strings, diameter])).toEqual({ better: ['strings', 'diameterMean'], worse: [], alike: [], open: [] });
	});
	it('what differs clearly but by less than matters is alike', () => {
		expect(headToHead({ overhang: found(70, 0.1) }, { overhang: found(68, 0.1) }, [overhang]).alike).toEqual(['overhang']);
	});
	it('only what was measured on both counts: no figure of the handbook, nothing expected', () => {
		const none = { better: [], worse: [], alike: [], open: [] };
		expect(headToHead({ overhang: found(70, 1) }, {}, [overhang])).toEqual(none);
		expect(headToHead({ overhang: found(70, 1) }, { overhang: found(60, 1, { n: 0 }) }, [overhang])).toEqual(none);
		expect(headToHead({ overhang: found(70, 1) }, { overhang: found(60, 1, { method: 'handbook' }) }, [overhang])).toEqual(none);
	});
	it('many quantities are told apart together: 2.1 standard errors are enough for one, not for five', () => {
		const [a, b] = [found(6, 1), found(6 + 2.1 * Math.SQRT2, 1)];
		const defs = Array.from({ length: 5 }, (_, i) => ({ ...overhang, id: `q${i}`, differenceThatMatters: 0.1 }));
		const all = (of: RankedFinding) => Object.fromEntries(defs.map((d) => [d.id, of]));
		expect(headToHead(all(b), all(a), defs.slice(0, 1)).better).toEqual(['q0']);
		expect(headToHead(all(b), all(a), defs).open).toHaveLength(5);
	});
});
