import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import type { Candidate, PickRow } from '$lib/core/answers/pick/types';
import { besideHouse, mostLost, pairLine, pairLines, priceWords } from './plain-answers';

const defs = [markQuantity('overhang'), markQuantity('bridge'), markQuantity('strings')];
const row = (code: string, more: Partial<PickRow> = {}): PickRow => ({
	spoolId: code,
	code,
	eligible: true,
	neverFinished: false,
	gates: [],
	score: 0.5,
	worth: 0.5,
	cost: 20,
	strength: null,
	parts: [],
	families: [],
	knownShare: 1,
	place: 1,
	tier: 0,
	...more
});
const candidate = (code: string, means: Record<string, [number, number]>): Candidate => ({
	spoolId: code,
	code,
	findings: Object.fromEntries(
		Object.entries(means).map(([q, [mean, standardError]]) => [
			q,
			{ estimate: mean, n: 3, interval: null, sampling: { kind: 't', mean, standardError, df: null }, shared: [], method: 'posterior' }
		])
	)
});
const of = (...candidates: Candidate[]) => ({ candidates, defs, currency: 'EUR' });

describe('two spools in one line', () => {
	const se6 = candidate('SE6', { overhang: [60, 1], bridge: [30, 1], strings: [1, 0.8] });
	const hu4 = candidate('HU4', { overhang: [70, 1], bridge: [30.5, 1], strings: [2, 0.8] });
	it('what it costs less, in what each is better, what is alike and what nobody can tell', () => {
		expect(pairLine(row('SE6', { cost: 15.8 }), row('HU4', { cost: 27.5 }), of(se6, hu4))).toEqual({
			pair: 'SE6 and HU4',
			text: 'SE6 costs 11.70 EUR a kg less; HU4 is better at overhang; alike in bridge; no clear difference in strings.'
		});
		expect(pairLine(row('HU4', { cost: 20.01 }), row('SE6'), of(se6, hu4)).text).toBe(
			'they cost the same; HU4 is better at overhang; alike in bridge; no clear difference in strings.'
		);
	});
	it('says so where nothing was measured on both, and leaves out a price that is not known', () => {
		expect(pairLine(row('SE6', { cost: null }), row('X', { cost: 3 }), of(se6, candidate('X', {}))).text).toBe(
			'nothing was measured on both.'
		);
	});
	it('is told of the first beside the next three, of those that meet the limits', () => {
		const rows = [row('A'), row('B', { eligible: false }), row('C'), row('D', { neverFinished: true }), row('E'), row('F'), row('G')];
		expect(pairLines(rows, of()).map((p) => p.pair)).toEqual(['A and C', 'A and E', 'A and F']);
	});
});

describe('one spool beside the house spool', () => {
	const mine = candidate('KE1', { overhang: [70, 1], bridge: [20, 1], strings: [1, 0.8] });
	const house = candidate('HU4', { overhang: [60, 1], bridge: [30, 1], strings: [2, 0.8] });
	const says = (one: Candidate, more: Partial<PickRow> = {}) =>
		besideHouse(row(one.code, more), row('HU4', { cost: 21.05 }), of(one, house));
	it('is told in what it is clearly better and worse, and what it costs; what nobody can tell is no news', () => {
		expect(says(mine)).toBe('KE1 is better at overhang and worse at bridge than HU4, your house spool; it costs 1.05 EUR a kg less.');
		expect(says(candidate('KE1', { overhang: [70, 1] }), { cost: 30 })).toBe(
			'KE1 is better at overhang than HU4, your house spool; it costs 8.95 EUR a kg more.'
		);
	});
	it('says so where nothing is clear, or nothing was measured on both', () => {
		expect(says(candidate('KE1', { strings: [2, 0.8] }), { cost: 21.06 })).toBe(
			'No clear difference between KE1 and HU4, your house spool; they cost the same.'
		);
		expect(says(candidate('KE1', {}), { cost: null })).toBe('Nothing was measured of both KE1 and HU4, your house spool.');
		expect(says(mine, { cost: null, neverFinished: true })).toMatch(/your house spool; it has no good print yet\.$/);
	});
});

describe('does price matter', () => {
	const words = (correlation: number, low: number, high: number) => priceWords({ spools: 9, correlation, low, high });
	it('yes, no, or not that one could see, each with its range', () => {
		expect(words(0.8, 0.2, 0.96)).toBe('Yes: dearer spools were better (9 spools; rank correlation 0.8, 95 % range 0.2 to 1.0).');
		expect(words(-0.8, -0.9, -0.1)).toMatch(/^Dearer spools were worse \(9 spools; rank correlation −0\.8/);
		expect(words(0.1, -0.5, 0.7)).toMatch(/^Not that one could see: .*95 % range −0\.5 to 0\.7\)\.$/);
	});
});

describe('a wrong choice', () => {
	it('costs at most what parts the dearest from the cheapest of the first tier', () => {
		const rows = [
			row('A', { cost: 15.8 }),
			row('B', { cost: 27.5 }),
			row('C', { cost: 60, tier: 1 }),
			row('D', { cost: 90, eligible: false })
		];
		expect(mostLost(rows)).toBeCloseTo(11.7, 9);
		expect(mostLost([row('A'), row('B', { cost: null })])).toBeNull();
		expect(mostLost([row('A'), row('B', { cost: 20.02 })])).toBeNull();
	});
});
