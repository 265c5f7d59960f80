import { tQuantile } from '../../kernel/stats/distributions';
import { meanInterval } from '../../kernel/stats/mean-interval';
import type { DryerCheck } from '../evidence/dryer-check';

export type ProbeOffset = {
	n: number;
	/** How far the own probe stood above what was set, K; negative where the dryer stays below. */
	offsetK: number;
	/** Of the mean, 95 %, K; null for one check. */
	interval: { low: number; high: number } | null;
};

/** Spread that a display of whole degrees hides: three equal readings are no certainty. JCGM 100, 4.3.7. */
const STEP_SD_K = 1 / Math.sqrt(12);

/**
 * How far a dryer is from what is set, by an own probe: the mean of all checks, whatever was set.
 * Source: ISO 2602 for the interval, its spread no smaller than that of a step of a degree; that one offset serves for all settings is common practice, no source.
 * @returns null without a check
 * @example probeOffset([{ id: 'a', at: 0, setPointC: 60, probeC: 54 }]) // { n: 1, offsetK: -6, interval: null }
 */
export function probeOffset(checks: readonly DryerCheck[]): ProbeOffset | null {
	const { n, mean, sd } = meanInterval(checks.map((c) => c.probeC - c.setPointC));
	if (mean === null) return null;
	const half = sd === null ? null : (tQuantile(0.975, n - 1) * Math.max(sd, STEP_SD_K)) / Math.sqrt(n);
	const interval = half === null ? null : { low: mean - half, high: mean + half };
	return { n, offsetK: mean, interval };
}
