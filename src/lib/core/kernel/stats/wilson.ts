import { normalQuantile } from './distributions';

/**
 * Wilson's score interval for a proportion; never the normal interval, which fails near 0 and 1.
 * Source: Wilson 1927, J. Amer. Statist. Assoc. 22, 209-212. Returns null when n is 0.
 * Errors: throws a RangeError when successes are not a whole number from 0 to n.
 * @param successes of the n tries
 * @example wilsonInterval(9, 10) // { low: 0.5958, high: 0.9821 }
 */
export function wilsonInterval(successes: number, n: number, level = 0.95): { low: number; high: number } | null {
	if (!Number.isInteger(successes) || !Number.isInteger(n) || successes < 0 || n < successes)
		throw new RangeError(`wilsonInterval: ${successes} of ${n} is not a count`);
	if (n === 0) return null;
	const z = normalQuantile(0.5 + level / 2);
	const p = successes / n;
	const centre = p + (z * z) / (2 * n);
	const half = z * Math.sqrt((p * (1 - p)) / n + (z * z) / (4 * n * n));
	const scale = 1 + (z * z) / n;
	// The ends are exact where every trial went one way; binary dust there would show as -1e-17.
	return { low: successes === 0 ? 0 : (centre - half) / scale, high: successes === n ? 1 : (centre + half) / scale };
}
