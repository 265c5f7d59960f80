import { tQuantile } from './distributions';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/diameter.json';
import studentized from '../../../../../tests/reference/studentized.json';
import { brownForsythe } from './brown-forsythe';
import { gamesHowell } from './games-howell';
import { nestedVariance } from './nested-variance';
import { spreadOf } from './spread';
import { studentizedRange } from './studentized-range';

describe('Brown-Forsythe', () => {
	it('agrees with R (anova on distances from the medians)', () => {
		const test = brownForsythe(reference.groups);
		expect(test?.f).toBeCloseTo(reference.brownForsythe.f, 8);
		expect(test?.p).toBeCloseTo(reference.brownForsythe.p, 8);
		expect(test).toMatchObject({ df1: 3, df2: 22 });
	});
	it('says nothing of one group, of single values, of groups without spread', () => {
		expect(brownForsythe([[1, 2, 3]])).toBeNull();
		expect(brownForsythe([[1], [2], [3]])).toBeNull();
		expect(
			brownForsythe([
				[1, 1, 1],
				[2, 2, 2]
			])
		).toBeNull();
	});
});

describe('Games-Howell', () => {
	const groups = reference.groups.map((g) => {
		const over = spreadOf(g);
		return { mean: over?.mean ?? 0, sd: over?.sd ?? 0, n: g.length };
	});
	it.each(reference.gamesHowell)('agrees with R (qtukey, ptukey): groups $i and $j', (expected) => {
		const found = gamesHowell(groups).find((t) => t.i === expected.i && t.j === expected.j);
		expect(found?.difference).toBeCloseTo(expected.difference, 12);
		expect(found?.low).toBeCloseTo(expected.low, 8);
		expect(found?.high).toBeCloseTo(expected.high, 8);
		// R's own range is good to six digits here.
		expect(found?.p).toBeCloseTo(expected.p, 6);
	});
	it('leaves out what has no spread', () => {
		expect(
			gamesHowell([
				{ mean: 1, sd: 0, n: 5 },
				{ mean: 2, sd: 1, n: 5 }
			])
		).toEqual([]);
	});
});

describe('studentised range', () => {
	it.each(studentized.values)('agrees with scipy: $groups groups, $df degrees of freedom', ({ groups, df, q95, pAt3 }) => {
		expect(studentizedRange(groups, df).inv(0.95) / q95).toBeCloseTo(1, 7);
		expect(studentizedRange(groups, df).cdf(3)).toBeCloseTo(pAt3, 6);
	});
	it('of two groups is Student’s t times the root of two (identity)', () => {
		for (const df of [2, 5, 30, 400]) expect(studentizedRange(2, df).inv(0.95)).toBeCloseTo(Math.SQRT2 * tQuantile(0.975, df), 5);
	});
	it('refuses one group', () => {
		expect(() => studentizedRange(1, 5)).toThrow(RangeError);
	});
});

describe('variance of readings, spools and lots', () => {
	it('agrees with the mean squares of R', () => {
		const found = nestedVariance(reference.nested.lots);
		expect(found.within).toBeCloseTo(reference.nested.within, 14);
		expect(found.spools).toBeCloseTo(reference.nested.spools, 12);
		expect(found.lots).toBeCloseTo(reference.nested.lotsVariance, 12);
		expect(found.n).toEqual({ readings: 19, spools: 7, lots: 3 });
	});
	it('says nothing of what it cannot tell apart', () => {
		expect(nestedVariance([])).toMatchObject({ within: null, spools: null, lots: null });
		expect(nestedVariance([[[1.75, 1.76]]])).toMatchObject({ spools: null, lots: null });
		expect(
			nestedVariance([
				[
					[1.75, 1.76],
					[1.7, 1.71]
				]
			]).lots
		).toBeNull();
		expect(nestedVariance([[[1.75], [1.76]]]).within).toBeNull();
	});
	it('a component below zero is zero', () => {
		// Spools alike, readings far apart.
		expect(
			nestedVariance([
				[
					[1.7, 1.8],
					[1.8, 1.7]
				],
				[
					[1.7, 1.8],
					[1.8, 1.7]
				]
			])
		).toMatchObject({ spools: 0, lots: 0 });
	});
});
