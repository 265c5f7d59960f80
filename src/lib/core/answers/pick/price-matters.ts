import { spearman } from '../../kernel/stats/spearman';
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
	const correlation = spearman(
		priced.map((r) => r.worth),
		priced.map((r) => r.cost as number)
	);
	if (correlation === null) return null;
	const error = Math.sqrt((1 + correlation ** 2 / 2) / (priced.length - 3));
	// All in one order has an infinite z; its range still begins somewhere.
	const z = Math.atanh(Math.max(-0.999999, Math.min(0.999999, correlation)));
	return { spools: priced.length, correlation, low: Math.tanh(z - 1.959964 * error), high: Math.tanh(z + 1.959964 * error) };
}
