import { nth } from '../../kernel/lists/nth';
import { fastNormalCdf } from '../../kernel/stats/normal-table';
import type { Posterior } from './posterior';
import { fromModel, type ModelScale } from './scale';

/** What is shown and drawn of a cell: one distribution, in the unit of the quantity. */
export type Summary = {
	/** Middle of the distribution. */
	estimate: number;
	low: number;
	high: number;
	/** Values that the distribution stays below with each of the probabilities. */
	probabilities: number[];
	values: number[];
};

/** Where the distribution is noted: close at the ends, where decisions are made. */
const PROBABILITIES = [
	0.0005, 0.001, 0.0025, 0.005, 0.01, 0.025, 0.05, 0.075, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8,
	0.85, 0.9, 0.925, 0.95, 0.975, 0.99, 0.995, 0.9975, 0.999, 0.9995
];

/**
 * The mean of a cell, back in the unit of the quantity: of loads and blows the typical one (the median).
 * @example summaryOfMean(posterior, 'log').estimate // 54.2
 */
export function summaryOfMean(posterior: Posterior, scale: ModelScale): Summary {
	const { means, sds, weights } = posterior;
	const ofMean = new Float64Array(means.length);
	for (let i = 0, at = 0; i < means.length; i++) for (let j = 0; j < sds.length; j++, at++) ofMean[i] = nth(ofMean, i) + nth(weights, at);
	const summary = summaryOf(means, ofMean);
	const back = (z: number) => fromModel(scale, z);
	return {
		estimate: back(summary.estimate),
		low: back(summary.low),
		high: back(summary.high),
		probabilities: summary.probabilities,
		values: summary.values.map(back)
	};
}

/** Ranks are told apart to a four-hundredth of the way from the first word to the last. */
const RANK_BINS = 400;

/**
 * The rank that the next print is expected to get, for marks in words: what lies beyond the last word still is the last word.
 * @param words how many there are
 * @example summaryOfRank(posterior, 4).estimate // 0.6
 */
export function summaryOfRank(posterior: Posterior, words: number): Summary {
	const { means, sds, weights } = posterior;
	const width = (words - 1) / RANK_BINS;
	const bins = new Float64Array(RANK_BINS + 1);
	for (let i = 0; i < means.length; i++)
		for (let j = 0; j < sds.length; j++) {
			const at = Math.round(expectedRank(nth(means, i), nth(sds, j), words) / width);
			bins[at] = nth(bins, at) + nth(weights, i * sds.length + j);
		}
	return summaryOf(
		Float64Array.from(bins, (_, i) => i * width),
		bins
	);
}

/** Each boundary between words that lies below the print adds one to its rank. */
function expectedRank(mean: number, sd: number, words: number): number {
	let rank = 0;
	for (let border = 0.5; border < words - 1; border++) rank += fastNormalCdf((mean - border) / sd);
	return rank;
}

/** Quantiles of values in order with their weights, straight between the middles of neighbours. */
function summaryOf(values: Float64Array, weights: Float64Array): Summary {
	const middles = new Float64Array(values.length);
	let before = 0;
	weights.forEach((w, i) => {
		middles[i] = before + w / 2;
		before += w;
	});
	let at = 0;
	const quantile = (p: number) => {
		while (at < middles.length && nth(middles, at) < p) at++;
		if (at === 0) return nth(values, 0);
		if (at === middles.length) return nth(values, at - 1);
		const [below, above] = [nth(middles, at - 1), nth(middles, at)];
		const share = above > below ? (p - below) / (above - below) : 0;
		return nth(values, at - 1) * (1 - share) + nth(values, at) * share;
	};
	const found = PROBABILITIES.map(quantile);
	const of = (p: number) => nth(found, PROBABILITIES.indexOf(p));
	return { estimate: of(0.5), low: of(0.025), high: of(0.975), probabilities: PROBABILITIES, values: found };
}
