import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fisherExact } from './fisher-exact';
import { midRanks } from './mid-ranks';
import { spearman, spearmanP } from './spearman';

/** Values of scipy; script and version stand in tests/reference/statistics.py. */
const reference = JSON.parse(readFileSync('tests/reference/statistics.json', 'utf8')) as {
	spearman: { worth: number[]; cost: number[]; r: number; p: number }[];
	fisher: { first: [number, number]; second: [number, number]; p: number }[];
};

describe('ranks', () => {
	it('equals share the mean of theirs, binary dust and all', () => expect(midRanks([0.1 + 0.2, 1, 0.3, -2])).toEqual([2.5, 4, 2.5, 1]));
	it.each(reference.spearman)('correlation $r and its exact p as scipy has them', ({ worth, cost, r, p }) => {
		expect(spearman(worth, cost)).toBeCloseTo(r, 12);
		expect(spearmanP(worth, cost)).toBeCloseTo(p, 12);
	});
	it('is not defined where all are equal, nor is its p', () => {
		expect(spearman([1, 2, 3], [4, 4, 4])).toBeNull();
		expect(spearmanP([1, 2, 3], [4, 4, 4])).toBeNull();
	});
	it('is exact up to eight: one order of 40,320 each way; beyond it is Student’s t', () => {
		const eight = [1, 2, 3, 4, 5, 6, 7, 8];
		expect(spearmanP(eight, eight)).toBeCloseTo(2 / 40_320, 12);
		// scipy 1.10.1: spearmanr([1..10], [2, 1, 4, 3, 6, 5, 8, 10, 7, 9]).
		const ten = [...eight, 9, 10];
		expect(spearmanP(ten, [2, 1, 4, 3, 6, 5, 8, 10, 7, 9])).toBeCloseTo(0.00034361219776328223, 9);
		expect(spearmanP(ten, ten)).toBe(0);
	});
});

describe('Fisher’s exact test', () => {
	it.each(reference.fisher)('$first against $second: p $p as scipy has it', ({ first, second, p }) => {
		expect(fisherExact(first, second)).toBeCloseTo(p, 12);
		expect(fisherExact(second, first)).toBeCloseTo(p, 12);
	});
	it('refuses what are no counts', () => {
		expect(() => fisherExact([1.5, 1], [1, 1])).toThrow(RangeError);
		expect(() => fisherExact([1, 1], [1, -1])).toThrow(RangeError);
	});
});
