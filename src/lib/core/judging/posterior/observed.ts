import type { Observed } from './scale';

/**
 * A reading says that the true value lies within half a step of its display.
 * @param value as read, in the unit of the quantity
 * @param step of the display, in the same unit
 * @example readingAs(1.76, 0.02) // { low: 1.75, high: 1.77 }
 */
export const readingAs = (value: number, step: number): Observed => ({ low: value - step / 2, high: value + step / 2 });

/**
 * A ladder print says between which of its steps it stops being clean: open below where not even the first was clean, above where even the
 * last one was.
 * @param lastClean in the unit of the ladder; null where the first step was faulty
 * @param firstFaulty null where no step was faulty
 * @example ladderAs(65, null) // { low: 65, high: null }
 */
export const ladderAs = (lastClean: number | null, firstFaulty: number | null): Observed => ({ low: lastClean, high: firstFaulty });

/**
 * A word says its rank and half of the way to its neighbours; the first and the last word are open outwards.
 * @param rank of the word, from 0
 * @param words how many there are
 * @example wordAs(0, 4) // { low: null, high: 0.5 }
 */
export const wordAs = (rank: number, words: number): Observed => ({
	low: rank === 0 ? null : rank - 0.5,
	high: rank === words - 1 ? null : rank + 0.5
});

/**
 * A count says that it is nearer to itself than to its neighbours.
 * @example countAs(3) // { low: 2.5, high: 3.5 }
 */
export const countAs = (count: number): Observed => ({ low: count - 0.5, high: count + 0.5 });

/**
 * Where an observation lies: in the middle of its interval; of an open one so far beyond the end that is known.
 * @param half in the unit of the observation
 * @returns in the same unit
 * @example middleOf({ low: null, high: 0.5 }, 0.5) // 0
 */
export function middleOf({ low, high }: Observed, half: number): number {
	if (low !== null && high !== null) return (low + high) / 2;
	return low !== null ? low + half : (high ?? 0) - half;
}
