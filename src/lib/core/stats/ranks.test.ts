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
	it('is not defined where all are equal, nor is its p; nor is p gone through beyond eight', () => {
		expect(spearman([1, 2, 3], [4, 4, 4])).toBeNull();
		expect(spearmanP([1, 2, 3], [4, 4, 4])).toBeNull();
		const nine = Array.from({ length: 9 }, (_, i) => i);
		expect(spearmanP(nine, nine)).toBeNull();
		// One order of 40,320 each way.
		expect(spearmanP(nine.slice(1), nine.slice(1))).toBeCloseTo(2 / 40_320, 12);
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
