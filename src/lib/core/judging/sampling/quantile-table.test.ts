import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/statistics.json';
import { moments } from './moments';
import type { Sampling } from '../finding/types';
import { randomSource } from '../../kernel/random/source';
import { drawFrom, quantileTable } from './quantile-table';

const def = { prior: { low: 0, high: 10 } };
const samplings: Sampling[] = [
	{ kind: 't', mean: 1.75, standardError: 0.01, df: 12 },
	{ kind: 't', mean: 60, standardError: 3, df: null },
	{ kind: 'beta', a: 3.5, b: 0.5 },
	{ kind: 'beta', a: 9.5, b: 2.5 },
	{ kind: 'bounds', low: 60, high: 75 },
	{ kind: 'quantiles', probabilities: [0, 0.5, 1], values: [0, 6, 12] },
	{ kind: 'exact', value: 19.5 }
];

describe('quantile tables', () => {
	it.each(samplings)('draws of $kind have the moments of the sampling', (sampling) => {
		const table = quantileTable(sampling, def);
		const source = randomSource(3);
		const draws = Array.from({ length: 20_000 }, () => drawFrom(table, source()));
		const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
		const sd = Math.sqrt(draws.reduce((a, b) => a + (b - mean) ** 2, 0) / draws.length);
		const m = moments(sampling) as { mean: number; sd: number; df: number };
		// A t with df degrees has the variance df / (df - 2) of its scale; the tails beyond 1/1024 are folded in.
		const expectedSd = m.sd * Math.sqrt(Number.isFinite(m.df) ? m.df / (m.df - 2) : 1);
		expect(Math.abs(mean - m.mean)).toBeLessThanOrEqual(0.03 * expectedSd + 1e-9);
		expect(Math.abs(sd - expectedSd)).toBeLessThanOrEqual(0.06 * expectedSd + 1e-9);
	});
	it('stands on the quantiles of scipy', () => {
		const t = quantileTable({ kind: 't', mean: 0, standardError: 1, df: 9 }, def);
		const expected = reference.tQuantiles.find((q) => q.p === 0.975 && q.df === 9)?.t as number;
		// 0.975 lies between two nodes: 249.6 of 256.
		expect(drawFrom(t, 0.975)).toBeCloseTo(expected, 2);
	});
	it('draws the unknown over its prior', () => {
		const table = quantileTable({ kind: 'unknown', reason: { id: 'noReadings', params: {} } }, def);
		expect(drawFrom(table, 0.5)).toBeCloseTo(5, 9);
		expect(table.every((x) => x >= 0 && x <= 10)).toBe(true);
	});
});
