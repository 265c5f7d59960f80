import { nth } from '../../kernel/lists/nth';
import { positionAt, type GaugeLog } from './gauge-log';

/** A thickening: a run of samples of which either axis is over a threshold. */
export type ThickSpot = { fromM: number; toM: number; peakMm: number; samples: number };

export type ThickSpots = {
	/** From this diameter on a run is a bump. */
	overMm: number;
	count: number;
	/** The thickest, at most this many, thickest first. */
	thickest: ThickSpot[];
};

const MOST_LISTED = 50;

/**
 * Thickenings of a log, the thickest first. Either axis counts: an oval place jams by its longer one.
 * Source: arithmetic; which thickness jams is the printer's matter (limits.ts).
 * @example findThickSpots(log, 1.8).thickest[0] // { fromM: 12.31, toM: 12.36, peakMm: 1.94, samples: 5 }
 */
export function findThickSpots(log: GaugeLog, overMm: number): ThickSpots {
	const all: ThickSpot[] = [];
	let start = -1;
	let peakMm = 0;
	const n = log.along.length;
	for (let i = 0; i <= n; i++) {
		const thick = i < n ? Math.max(nth(log.along, i), log.across ? nth(log.across, i) : 0) : 0;
		if (thick > overMm) {
			if (start < 0) [start, peakMm] = [i, thick];
			else if (thick > peakMm) peakMm = thick;
		} else if (start >= 0) {
			all.push({ fromM: positionAt(log.position, start), toM: positionAt(log.position, i - 1), peakMm, samples: i - start });
			start = -1;
		}
	}
	return { overMm, count: all.length, thickest: all.sort((a, b) => b.peakMm - a.peakMm).slice(0, MOST_LISTED) };
}
