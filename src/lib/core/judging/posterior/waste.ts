import { mean, sum } from 'd3-array';

/** What is expected of the share of a print that is laid down when it fails: a beta law, as if so much had been laid down and spared before. */
export type WastePrior = { wasted: number; spared: number };

/** While no failure was seen: anything, about a half (common practice, no source). */
export const ASSUMED_WASTE: WastePrior = { wasted: 1, spared: 1 };

/** What was assumed counts as so many spools more, and its spread with them (common practice, no source). */
const ASSUMED_SPOOLS = 4;
const ASSUMED_MEAN = 0.5;
const ASSUMED_VARIANCE = 1 / 12;
/** A prior counts for at least two failures, as the assumed one does, and for at most as many as that of success does. */
const SIZES = { least: 2, most: 5 };

/**
 * Learns from the record's failures what a spool's wastes on average: the mean of the spools' means, and how they differ. Few failures a spool
 * scatter by themselves, which widens the prior: the side to err on.
 * Source: beta law by its mean and variance (method of moments); what was assumed counts as four spools more (common practice, no source).
 * @param spools of each spool the shares of its failed prints that were laid down, 0 to 1
 * @example learnWaste([]) // { wasted: 1, spared: 1 }
 */
export function learnWaste(spools: readonly (readonly number[])[]): WastePrior {
	const means = spools.filter((shares) => shares.length > 0).map((shares) => mean(shares) as number);
	const count = means.length + ASSUMED_SPOOLS;
	const middle = (sum(means) + ASSUMED_SPOOLS * ASSUMED_MEAN) / count;
	const away = sum(means, (m) => (m - middle) ** 2) + ASSUMED_SPOOLS * (ASSUMED_VARIANCE + (ASSUMED_MEAN - middle) ** 2);
	const size = Math.min(SIZES.most, Math.max(SIZES.least, (middle * (1 - middle)) / (away / count) - 1));
	return { wasted: middle * size, spared: (1 - middle) * size };
}
