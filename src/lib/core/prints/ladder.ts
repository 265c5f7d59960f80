import { sum } from 'd3-array';
import { findFromValues, type FromValues } from '../finding/find-from-values';

export type LadderMark = { lastClean: number; firstFaulty: number | null };

/** Scatter between prints known from elsewhere. */
export type KnownScatter = { sd: number; df: number };

/**
 * Where a ladder of steps (overhang angles, bridge spans) stops being clean.
 * Each print gives an interval: from its last clean step to its first faulty one (or one step further when none was faulty).
 * One print: the scatter the house spool scatterToBorrow, if it has repeats enough; else bounds, widened by one step each way because nothing is known of the scatter between prints (common practice, no source).
 * Several: mean of the last clean steps; scatter of the prints and the rectangular width of the interval both count.
 * Source: ISO 2602; JCGM 100, 4.3.7 for the width.
 * @param step the distance between steps, for prints with no faulty step
 * @param borrowed standard deviation between prints of the house spool, used for a single print only
 * @param shiftSe standard uncertainty of a shift that was taken off all steps
 * @example ladder([{ lastClean: 65, firstFaulty: 70 }], 5) // estimate 65, interval 60 to 75, bounds
 */
export function ladder(
	ladderMarks: readonly LadderMark[],
	step: number,
	borrowed: KnownScatter | null = null,
	shiftSe = 0
): FromValues | null {
	const [first] = ladderMarks;
	if (!first) return null;
	const upper = (r: LadderMark) => r.firstFaulty ?? r.lastClean + step;
	const width = sum(ladderMarks, (r) => upper(r) - r.lastClean) / ladderMarks.length;
	return findFromValues(
		ladderMarks.map((r) => r.lastClean),
		{
			borrowed,
			also: Math.hypot(width / Math.sqrt(12), shiftSe),
			alone: { low: first.lastClean - step - 2 * shiftSe, high: upper(first) + step + 2 * shiftSe, shown: true }
		}
	);
}
