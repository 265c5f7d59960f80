import { sum } from 'd3-array';
import type { Interval, Sampling } from '../finding/types';

/** Pseudo-count spread over the words before any mark: one print does not make a certainty. */
const PRIOR = 0.5;

/**
 * A mark in words: how often each word was given, its mean rank, and a credible interval for the mean rank.
 * Counts get a Dirichlet prior of 1/2 a word, leaning on the words beside the given ones is left to deeper methods.
 * Interval: normal approximation of the Dirichlet mean, clipped to the words. Source: Gelman et al., Bayesian Data Analysis, 3.4.
 * @param ranks one rank from 0 to words - 1 for each print
 * @param words how many the list has
 * @example ordinal([0, 0, 1], 4) // estimate 0.33, counts [2, 1, 0, 0]
 */
export function ordinal(
	ranks: readonly number[],
	words: number
): { estimate: number; counts: number[]; interval: Interval; sampling: Sampling } | null {
	if (ranks.length === 0) return null;
	const counts = Array.from({ length: words }, (_, rank) => ranks.filter((r) => r === rank).length);
	const alphas = counts.map((c) => c + PRIOR);
	const total = sum(alphas);
	const mean = sum(alphas, (a, rank) => (a / total) * rank);
	const second = sum(alphas, (a, rank) => (a / total) * rank * rank);
	const sd = Math.sqrt((second - mean * mean) / (total + 1));
	const clip = (x: number) => Math.min(words - 1, Math.max(0, x));
	const estimate = sum(ranks) / ranks.length;
	return {
		estimate,
		counts,
		// The estimate is what was seen; the interval must reach it even where the prior pulls away.
		interval: {
			low: Math.min(estimate, clip(mean - 1.96 * sd)),
			high: Math.max(estimate, clip(mean + 1.96 * sd)),
			level: 0.95,
			kind: 'credible'
		},
		sampling: { kind: 'ordinal', counts: alphas }
	};
}
