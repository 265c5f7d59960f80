import { describe, expect, it } from 'vitest';
import reference from '../../../../tests/reference/statistics.json';
import { evidence, reading } from '../../../../tests/support/evidence';
import { readReading } from '../readings/read-reading';
import { compareCalibrations } from './calibration';

const spool = (id: string, values: number[], quantity = 'calibratedFlow') =>
	evidence({ spool: { id }, readings: values.map((value) => reading({ station: 'diameter', quantity, value })) });

describe('calibrations of two colours', () => {
	it('one value each cannot be told apart, however different', () => {
		const [flow] = compareCalibrations([spool('a', [0.97]), spool('b', [0.9])]);
		expect(flow?.pairs).toMatchObject([{ a: 'a', b: 'b', interval: null, outcome: 'cannotTell' }]);
		expect(flow?.spools[0]).toMatchObject({ mean: 0.97, low: null });
	});
	it.each(reference.welch)('with repeats decides as scipy’s Welch test, p = $p', ({ a, b, p }) => {
		const [flow] = compareCalibrations([spool('a', a), spool('b', b)]);
		expect(flow?.pairs[0]?.outcome).toBe(p < 0.05 ? 'apart' : 'notApart');
	});
	it('repeats that all agree show no scatter to judge by', () => {
		expect(compareCalibrations([spool('a', [0.95, 0.95]), spool('b', [0.96, 0.96])])[0]?.pairs[0]?.outcome).toBe('cannotTell');
	});
	it('keeps flow and pressure advance apart, and says nothing of nothing', () => {
		const both = compareCalibrations([spool('a', [0.97]), spool('b', [0.04, 0.05], 'pressureAdvance')]);
		expect(both.map((c) => [c.quantity, c.spools.length, c.pairs.length])).toEqual([
			['calibratedFlow', 1, 0],
			['pressureAdvance', 1, 0]
		]);
		expect(compareCalibrations([evidence()])).toEqual([]);
	});
	it('is read as a bare number, a per cent by mistake is refused', () => {
		expect(readReading('calibratedFlow', '0,974')).toMatchObject({ ok: true, value: 0.974 });
		expect(readReading('calibratedFlow', '97.4')).toMatchObject({ ok: false, reason: 'outOfRange' });
		expect(readReading('pressureAdvance', '0.036')).toMatchObject({ ok: true, value: 0.036 });
	});
});
