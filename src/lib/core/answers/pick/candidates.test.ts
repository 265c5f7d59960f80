import { describe, expect, it } from 'vitest';
import { attempt, basis, diameters, evidence, mark } from '../../../../../tests/support/evidence';
import { STATIONS } from '../../joins/registry';
import { candidatesFrom } from './candidates';

describe('the candidates of a pick', () => {
	const [printed, read] = [attempt(), attempt()];
	const spools = [
		evidence({
			spool: { id: 's1', code: 'KA1' },
			attempts: [printed],
			readings: [mark(printed, 'strings', 2), ...diameters([1.75, 1.74])]
		}),
		evidence({ spool: { id: 's2', code: 'KA2' }, attempts: [read], readings: [mark(read, 'strings', 0)] })
	];
	const given = candidatesFrom({ spools, basis, stations: STATIONS });

	it('are the spools in their order, each with the finding of every quantity that counts', () => {
		expect(given.candidates.map((c) => [c.spoolId, c.code])).toEqual([['s1', 'KA1'], ['s2', 'KA2']]); // prettier-ignore
		expect(given.candidates.map((c) => [c.findings.strings?.n, c.findings.diameterMean?.n ?? 0])).toEqual([[1, 2], [1, 0]]); // prettier-ignore
		expect((given.candidates[0]?.findings.strings?.estimate ?? 0) > (given.candidates[1]?.findings.strings?.estimate ?? 9)).toBe(true);
	});
	it('come with the definitions of all quantities of all stations', () => {
		expect(given.defs.map((d) => d.id)).toEqual(STATIONS.flatMap((s) => s.quantities(basis)).map((d) => d.id));
		expect(Object.keys(given.candidates[0]?.findings ?? {})).toEqual(given.defs.map((d) => d.id));
	});
	it('know nothing of stations that are left out', () => {
		const few = candidatesFrom({ spools, basis, stations: STATIONS.filter((s) => s.id === 'diameter') });
		expect(few.candidates[0]?.findings.strings).toBeUndefined();
		expect(few.candidates[0]?.findings.diameterMean?.n).toBe(2);
	});
});
