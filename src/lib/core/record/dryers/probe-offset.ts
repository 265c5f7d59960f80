import { meanInterval } from '../../kernel/stats/mean-interval';
import type { DryerCheck } from '../evidence/dryer-check';

export type ProbeOffset = {
	n: number;
	/** How far the own probe stood above what was set, K; negative where the dryer stays below. */
	offsetK: number;
	/** Of the mean, 95 %, K; null for one check. */
	interval: { low: number; high: number } | null;
	/** The lowest and the highest temperature that was set, °C: beyond them nothing was seen. */
	setLowC: number;
	setHighC: number;
};

/**
 * How far a dryer is from what is set, by an own probe: the mean of all checks, whatever was set.
 * Source: ISO 2602 for the interval; that one offset serves for all settings is common practice, no source.
 * @returns null without a check
 * @example probeOffset([{ id: 'a', at: 0, setPointC: 60, probeC: 54 }]) // { n: 1, offsetK: -6, interval: null, setLowC: 60, setHighC: 60 }
 */
export function probeOffset(checks: readonly DryerCheck[]): ProbeOffset | null {
	const { n, mean, low, high } = meanInterval(checks.map((c) => c.probeC - c.setPointC));
	if (mean === null) return null;
	const set = checks.map((c) => c.setPointC);
	const interval = low === null || high === null ? null : { low, high };
	return { n, offsetK: mean, interval, setLowC: Math.min(...set), setHighC: Math.max(...set) };
}
