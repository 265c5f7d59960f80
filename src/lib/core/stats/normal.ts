import jStat from 'jstat';

/**
 * Standard normal distribution function.
 * Source: jStat (complementary error function after Numerical Recipes), right to about twelve digits.
 * @example normalCdf(1.96) // 0.975
 */
export function normalCdf(z: number): number {
	return 0.5 * jStat.erfc(-z / Math.SQRT2);
}
