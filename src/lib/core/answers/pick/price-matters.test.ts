import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/statistics.json';
import { priceMatters } from './price-matters';

const family = (known: boolean) => ({ id: 'family.looks', weight: 1, value: 0.5, low: 0, high: 1, known });
const rows = (worth: number[], cost: (number | null)[]) =>
	worth.map((w, i) => ({ worth: w, cost: cost[i] as number | null, families: [family(true)] }));

describe('does price matter', () => {
	it.each(reference.spearman)('$worth against $cost: as scipy', ({ worth, cost, r }) => {
		const found = priceMatters(rows(worth, cost));
		expect(found?.correlation).toBeCloseTo(r, 12);
		expect(found?.spools).toBe(worth.length);
	});
	it('its range is Fisher’s, by hand: r 0 of 12 spools, 1.96 / sqrt(9) = 0.653 in z, 0.574 in r', () => {
		const worth = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
		// An order that has nothing to do with the other: each step up is paid back.
		const cost = [6, 8, 3, 11, 4, 9, 10, 2, 7, 12, 1, 5];
		const found = priceMatters(rows(worth, cost));
		const r = found?.correlation ?? NaN;
		const half = (1.959964 * Math.sqrt(1 + r ** 2 / 2)) / 3;
		expect(found?.low).toBeCloseTo(Math.tanh(Math.atanh(r) - half), 9);
		expect(found?.high).toBeCloseTo(Math.tanh(Math.atanh(r) + half), 9);
	});
	it('says nothing of four spools, of those without a price or without anything measured, or where all cost the same', () => {
		expect(priceMatters(rows([1, 2, 3, 4], [1, 2, 3, 4]))).toBeNull();
		expect(priceMatters(rows([1, 2, 3, 4, 5], [1, 2, 3, 4, null]))).toBeNull();
		expect(priceMatters([...rows([1, 2, 3, 4], [1, 2, 3, 4]), { worth: 5, cost: 5, families: [family(false)] }])).toBeNull();
		expect(priceMatters(rows([1, 2, 3, 4, 5], [7, 7, 7, 7, 7]))).toBeNull();
	});
	it('all in one order still has a range', () => {
		const found = priceMatters(rows([1, 2, 3, 4, 5], [1, 2, 3, 4, 5]));
		expect(found?.correlation).toBe(1);
		expect(found?.low).toBeGreaterThan(0.9);
		expect(found?.high).toBeLessThanOrEqual(1);
	});
});
