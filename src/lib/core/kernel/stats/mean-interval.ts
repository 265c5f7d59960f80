import { tQuantile } from './distributions';
import { mean, sampleStandardDeviation } from 'simple-statistics';

export type MeanInterval = {
	n: number;
	mean: number | null;
	/** Over n - 1; null below two values. */
	sd: number | null;
	standardError: number | null;
	df: number;
	low: number | null;
	high: number | null;
};

/**
 * Mean of independent values with its two-sided t interval.
 * Sums of squares by two passes (simple-statistics), so that a small spread on a large mean is not lost.
 * Source: ISO 2602. Below two values there is a mean but no interval; below one there is nothing.
 * @example meanInterval([1.74, 1.75, 1.76]) // { mean: 1.75, sd: 0.01, low: 1.7252, high: 1.7748 }
 */
export function meanInterval(values: readonly number[], level = 0.95): MeanInterval {
	const n = values.length;
	const none = { n, sd: null, standardError: null, df: 0, low: null, high: null };
	if (n === 0) return { ...none, mean: null };
	const m = mean([...values]);
	if (n === 1) return { ...none, mean: m };
	const sd = sampleStandardDeviation([...values]);
	const standardError = sd / Math.sqrt(n);
	const half = tQuantile(0.5 + level / 2, n - 1) * standardError;
	return { n, mean: m, sd, standardError, df: n - 1, low: m - half, high: m + half };
}
