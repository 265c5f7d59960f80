import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tiersOf, tiersOfBlocks } from './tiers';

const draws = (...values: number[]) => Float64Array.from(values);
const always = (value: number) => Float64Array.from({ length: 100 }, () => value);
/** Better than `value` in so many of a hundred draws, else far below. */
const sometimes = (good: number, value: number) => Float64Array.from({ length: 100 }, (_, i) => (i < good ? value : 0));

describe('tiers', () => {
	it('within the difference that matters is as good, beyond it is not', () => {
		expect(tiersOf([always(0.8), always(0.77), always(0.769)])).toEqual([0, 0, 1]);
		expect(tiersOf([always(0.8), always(0.77)], 0.02)).toEqual([0, 1]);
	});
	it('a chance of a tenth over the number of spools keeps one in: 5 of 100 of two, 3 of 100 of four', () => {
		expect(tiersOf([always(0.5), sometimes(5, 0.9)])).toEqual([0, 0]);
		expect(tiersOf([always(0.5), sometimes(4, 0.9)])).toEqual([0, 1]);
		expect(tiersOf([always(0.5), always(0.5), always(0.5), sometimes(3, 0.9)])).toEqual([0, 0, 0, 0]);
		expect(tiersOf([always(0.5), always(0.5), always(0.5), sometimes(2, 0.9)])).toEqual([0, 0, 0, 1]);
	});
	it('the rest is asked anew among itself', () => {
		expect(tiersOf([always(0.9), always(0.5), always(0.49), always(0.1)])).toEqual([0, 1, 1, 2]);
	});
	it('... and by their number: three of a hundred are too few among the three that are left', () => {
		expect(tiersOf([always(0.9), always(0.5), always(0.5), sometimes(3, 0.5)])).toEqual([0, 1, 1, 2]);
		expect(tiersOf([always(0.9), always(0.5), always(0.5), sometimes(4, 0.5)])).toEqual([0, 1, 1, 1]);
	});
	it('equal values are one tier, whatever their binary dust; no spools have none', () => {
		expect(tiersOf([draws(0.1 + 0.2), draws(0.3)], 0)).toEqual([0, 0]);
		expect(tiersOf([])).toEqual([]);
		expect(tiersOf([always(0.2)])).toEqual([0]);
	});
	it('draws in blocks are the same draws', () => {
		const whole = [always(0.5), sometimes(5, 0.9), sometimes(2, 0.9), always(0.1)];
		const blocks = whole.map((of) => [of.subarray(0, 37), of.subarray(37)]);
		expect(tiersOfBlocks(blocks)).toEqual(tiersOf(whole));
		expect(tiersOfBlocks(blocks)).toEqual([0, 0, 2, 1]);
	});
	it('every spool has a tier, none is left out in between, and the order of spools does not matter', () => {
		const value = fc.float({ min: 0, max: 1, noNaN: true });
		const table = fc.array(fc.array(value, { minLength: 20, maxLength: 20 }), { minLength: 1, maxLength: 6 });
		fc.assert(
			fc.property(table, (rows) => {
				const values = rows.map((row) => Float64Array.from(row));
				const tiers = tiersOf(values);
				expect([...new Set(tiers)].sort()).toEqual(Array.from({ length: Math.max(...tiers) + 1 }, (_, i) => i));
				expect(tiersOf([...values].reverse()).reverse()).toEqual(tiers);
			})
		);
	});
});
