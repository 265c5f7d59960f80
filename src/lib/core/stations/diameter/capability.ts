import { chiSquareQuantile, tQuantile } from '../../kernel/stats/distributions';

export type Capability = {
	/** Performance over all readings; null with its reason where the spread is nought or the readings are too few. */
	pp: { estimate: number; low: number; high: number };
	ppk: { estimate: number; low: number; high: number };
};

/**
 * Pp and Ppk against two limits, with 95 % intervals. Named Pp/Ppk since the standard deviation is over all readings, not within groups.
 * Source: Montgomery, Introduction to Statistical Quality Control (chi-square interval for Pp; Bissell's approximation for Ppk);
 * ISO 22514-2.
 * @param nEffective independent readings, over which the interval is taken
 * @returns null when there is no spread, or fewer than two independent readings: capability is then undefined, not infinite
 * @example capability({ mean: 1.751, sd: 0.006, nEffective: 30 }, 1.73, 1.77)?.ppk.estimate // 1.056
 */
export function capability(
	over: { mean: number; sd: number | null; nEffective: number },
	lowMm: number,
	highMm: number
): Capability | null {
	const { mean, sd, nEffective } = over;
	if (sd === null || !(sd > 0) || nEffective < 2) return null;
	const df = nEffective - 1;
	const pp = (highMm - lowMm) / (6 * sd);
	const ppk = Math.min(highMm - mean, mean - lowMm) / (3 * sd);
	const half = tQuantile(0.975, Infinity) * Math.sqrt(1 / (9 * nEffective) + ppk ** 2 / (2 * df));
	return {
		pp: {
			estimate: pp,
			low: pp * Math.sqrt(chiSquareQuantile(0.025, df) / df),
			high: pp * Math.sqrt(chiSquareQuantile(0.975, df) / df)
		},
		ppk: { estimate: ppk, low: ppk - half, high: ppk + half }
	};
}
