import { nth } from '../lists/nth';

/** Running mean and sum of squares (Welford), so that a small spread on a large mean is not lost and a million values need no copy. */
export type Spread = { n: number; mean: number; sd: number | null; low: number; high: number };

/**
 * Number, mean, standard deviation over n - 1, smallest and largest in one pass.
 * Source: Welford 1962, Technometrics 4, 419-420; checked against NIST StRD NumAcc1, 2 and 4.
 * @returns null for no values; sd null for one
 * @example spreadOf([1.74, 1.75, 1.76]) // { n: 3, mean: 1.75, sd: 0.01, low: 1.74, high: 1.76 }
 */
export function spreadOf(values: ArrayLike<number>): Spread | null {
	const n = values.length;
	if (n === 0) return null;
	let mean = 0;
	let squares = 0;
	let low = Infinity;
	let high = -Infinity;
	for (let i = 0; i < n; i++) {
		const value = nth(values, i);
		const delta = value - mean;
		mean += delta / (i + 1);
		squares += delta * (value - mean);
		if (value < low) low = value;
		if (value > high) high = value;
	}
	return { n, mean, sd: n < 2 ? null : Math.sqrt(squares / (n - 1)), low, high };
}
