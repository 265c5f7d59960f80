import { mean, rank } from 'd3-array';
import type { PickRow } from './types';

/** Whether dearer spools were better: rank correlation of value without cost and cost, with its 95 % range. */
export type PriceMatters = { spools: number; correlation: number; low: number; high: number };

/** With fewer the range is all there is (common practice, no source). */
const LEAST = 5;

/**
 * Does price matter here? Spearman's rank correlation between what spools are worth without cost and what they cost.
 * Source: Spearman 1904, ties by mean ranks; range by Fisher's z with the variance of Bonett & Wright 2000, Psychometrika 65, 23-28.
 * @returns no unit, -1 to 1; null under five spools with a price, or where all cost or are worth the same
 * @example priceMatters(rows)?.correlation // 0.1
 */
export function priceMatters(rows: readonly Pick<PickRow, 'worth' | 'cost' | 'families'>[]): PriceMatters | null {
	const priced = rows.filter((r) => r.cost !== null && r.families.some((f) => f.known));
	if (priced.length < LEAST) return null;
	const correlation = pearson(meanRanks(priced.map((r) => r.worth)), meanRanks(priced.map((r) => r.cost as number)));
	if (correlation === null) return null;
	const error = Math.sqrt((1 + correlation ** 2 / 2) / (priced.length - 3));
	// All in one order has an infinite z; its range still begins somewhere.
	const z = Math.atanh(Math.max(-0.999999, Math.min(0.999999, correlation)));
	return { spools: priced.length, correlation, low: Math.tanh(z - 1.959964 * error), high: Math.tanh(z + 1.959964 * error) };
}

/** Ranks from 0; equals share the mean of theirs. */
function meanRanks(values: readonly number[]): number[] {
	const lowest = rank(values);
	return values.map((value, i) => (lowest[i] as number) + (values.filter((v) => v === value).length - 1) / 2);
}

function pearson(x: readonly number[], y: readonly number[]): number | null {
	const [mx, my] = [mean(x) ?? 0, mean(y) ?? 0];
	const sum = (of: (i: number) => number) => x.reduce((total, _, i) => total + of(i), 0);
	const dx = (i: number) => (x[i] as number) - mx;
	const dy = (i: number) => (y[i] as number) - my;
	const spread = Math.sqrt(sum((i) => dx(i) ** 2) * sum((i) => dy(i) ** 2));
	return spread === 0 ? null : sum((i) => dx(i) * dy(i)) / spread;
}
