import type { Reading } from '../evidence';

export type Marked = Reading & { value: number };

/** One scoring of a print: who looked, and which of his looks at it this was, from 0. */
export type Look = { scorer: string | null; look: number };

/**
 * Marks with the look they were given in: a second mark of one scorer for one thing on one print is a second look, not a correction.
 * @example looksOf([markOfAda, laterMarkOfAda]).map((m) => m.look) // [0, 1]
 */
export function looksOf(marks: readonly Marked[]): (Marked & Look)[] {
	const given = new Map<string, number>();
	return [...marks]
		.sort((a, b) => a.takenAt - b.takenAt || (a.id < b.id ? -1 : 1))
		.map((mark) => {
			const key = `${mark.attemptId} ${mark.quantity} ${mark.scorer ?? ''}`;
			const look = given.get(key) ?? 0;
			given.set(key, look + 1);
			return { ...mark, look };
		});
}
