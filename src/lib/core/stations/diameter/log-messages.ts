import { say, type Message } from '../../judging/finding/message';
import type { Drift } from './shape-of-strand';
import { jamming, type PathLimits } from '../../record/gauge-log/limits';
import type { LogSummary } from '../../record/gauge-log/summary';

const Z = 1.959964;

/**
 * Drift of a log with its 95 % interval over the effective number of samples.
 * @example driftOfLog(summary)?.per // 'metre'
 */
export function driftOfLog({ drift, nEffective }: LogSummary): Drift | null {
	if (!drift) return null;
	const half = Z * drift.standardError;
	return {
		estimate: drift.slope,
		low: drift.slope - half,
		high: drift.slope + half,
		n: nEffective,
		per: 'metre',
		seen: Math.abs(drift.slope) > half
	};
}

/**
 * Mean difference of the two axes of a gauge; null for one axis.
 * @example ovalityOfLog(summary)?.estimate // 0.006
 */
export function ovalityOfLog({ ovalityMm, nEffective }: LogSummary): { estimate: number; low: number; high: number; n: number } | null {
	if (!ovalityMm || nEffective < 2) return null;
	const half = (Z * ovalityMm.sd) / Math.sqrt(nEffective);
	return { estimate: ovalityMm.estimate, low: Math.max(0, ovalityMm.estimate - half), high: ovalityMm.estimate + half, n: nEffective };
}

/**
 * What only a log can say: how alike neighbours are, a periodicity, thickenings that can jam, the worst metre.
 * @example logMessages(summary, limits).map((m) => m.id) // ['logWorth', 'periodicity', 'thickSpotsJam', 'worstMetre']
 */
export function logMessages(summary: LogSummary, limits: PathLimits): Message[] {
	const { n, nEffective, periodicity, thickSpots, worstMetre } = summary;
	const jams = jamming(thickSpots.thickest, limits);
	const [thickest] = thickSpots.thickest;
	const narrow = Math.min(limits.feedPathMm, limits.throatMm);
	const { assumed } = limits;
	return [
		say('logWorth', { n, nEffective, metres: summary.toM - summary.fromM, lag1: summary.lag1 ?? 0 }),
		periodicity
			? say(periodicity.aliased ? 'periodicityAliased' : 'periodicity', {
					period: periodicity.periodM,
					amplitude: periodicity.amplitudeMm,
					sharePct: periodicity.share * 100
				})
			: say('noPeriodicity'),
		jams[0]
			? say('thickSpotsJam', { count: jams.length, peak: jams[0].peakMm, at: jams[0].fromM, limit: narrow, assumed })
			: thickest
				? say('thickSpotsFit', {
						count: thickSpots.count,
						over: thickSpots.overMm,
						peak: thickest.peakMm,
						at: thickest.fromM,
						limit: narrow,
						assumed
					})
				: say('noThickSpots', { over: thickSpots.overMm }),
		...(worstMetre ? [say('worstMetre', { at: worstMetre.fromM, rms: worstMetre.rmsMm })] : [])
	];
}
