import { binomialCdf } from './distributions';

/**
 * Exact two-sided sign test on paired differences. Ties are left out (Dixon & Mood); with m pairs left, p cannot be under 2^(1-m), so
 * five pairs never reach 0.05.
 * Source: Conover, Practical Nonparametric Statistics, 3rd ed., 3.4. Returns p null when every pair is tied.
 * Errors: throws a RangeError for counts that are negative or not whole.
 * @param better pairs in which the first way is better
 * @param worse pairs in which it is worse
 * @example signTest(6, 0) // { pairs: 6, p: 0.03125 }
 */
export function signTest(better: number, worse: number): { pairs: number; p: number | null } {
	if (!Number.isInteger(better) || !Number.isInteger(worse) || better < 0 || worse < 0)
		throw new RangeError(`signTest: ${better} and ${worse} are not counts`);
	const pairs = better + worse;
	if (pairs === 0) return { pairs, p: null };
	return { pairs, p: Math.min(1, 2 * binomialCdf(Math.min(better, worse), pairs, 0.5)) };
}
