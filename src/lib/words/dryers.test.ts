import { afterEach, describe, expect, it } from 'vitest';
import { dryerCheckWords, dryerRangeWords, dryingWords, probeWords } from './dryers';
import { unitsFrom } from './units';

afterEach(() => unitsFrom(() => undefined));
const check = (setPointC: number, probeC: number) => ({ id: `${setPointC} ${probeC}`, at: 0, setPointC, probeC });

describe('how hot a dryer is', () => {
	it('is told as its range, as far as that is known', () => {
		expect(dryerRangeWords({ setPointLowC: 40, setPointHighC: 70 })).toBe('40 to 70 °C');
		expect(dryerRangeWords({ setPointLowC: null, setPointHighC: 70 })).toBe('to 70 °C');
		expect(dryerRangeWords({ setPointLowC: 40, setPointHighC: null })).toBe('from 40 °C');
		expect(dryerRangeWords({ setPointLowC: null, setPointHighC: null })).toBe('range not noted');
	});

	it('is told by an own probe with n and range, or that there is none', () => {
		expect(probeWords([])).toBeNull();
		expect(probeWords([check(60, 54)])).toBe('own probe 6 °C below what is set (n 1, so no range)');
		expect(probeWords([check(60, 54), check(70, 62), check(50, 46)])).toBe(
			'own probe 6 °C below what is set (n 3, from 11 °C below to 1 °C below)'
		);
		expect(probeWords([check(60, 62), check(60, 58)])).toBe('own probe at what is set (n 2, from 25 °C below to 25 °C above)');
		expect(probeWords([check(60, 64)])).toBe('own probe 4 °C above what is set (n 1, so no range)');
		expect(dryerCheckWords(check(60, 54))).toBe('set 60 °C, probe 54 °C');
	});

	it('is a difference in Fahrenheit too, not a temperature', () => {
		unitsFrom(() => ({ temperature: 'F' }));
		expect(probeWords([check(60, 55)])).toBe('own probe 9 °F below what is set (n 1, so no range)');
	});
});

it('a drying is a line of a spool’s history', () => {
	const startedAt = Date.parse('2026-11-01T08:00:00Z');
	const drying = { dryer: 'Tall box', setPointC: 60, startedAt, checks: [check(60, 54)] };
	expect(dryingWords(drying, startedAt + 4.5 * 3_600_000)).toBe(
		'Tall box, 60 °C, 4.5 h, own probe 6 °C below what is set (n 1, so no range)'
	);
	expect(dryingWords({ ...drying, dryer: null, checks: [] }, startedAt + 3_600_000)).toBe('dryer, 60 °C, 1 h');
	expect(dryingWords(null, startedAt)).toBe('said with a print');
});
