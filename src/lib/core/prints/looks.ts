import type { Marked } from './marks-on';

/** One scoring of a print: who looked, and which of his looks at it this was, from 0. */
export type Look = { scorer: string | null; look: number };

/**
 * For each mark the look it was given in: a second mark of one scorer for one thing on one print is a second look, not a correction.
 * @example looksOf([markOfAda, laterMarkOfAda]) // [0, 1]
 */
export function looksOf(marks: readonly Marked[]): number[] {
	const same = new Map<string, number[]>();
	marks.forEach(({ attemptId, quantity, scorer }, i) => {
		const key = `${attemptId} ${quantity} ${scorer ?? ''}`;
		const given = same.get(key);
		if (given) given.push(i);
		else same.set(key, [i]);
	});
	const looks = new Array<number>(marks.length).fill(0);
	const at = (i: number) => marks[i] as Marked;
	for (const given of same.values()) {
		if (given.length < 2) continue;
		given.sort((a, b) => at(a).takenAt - at(b).takenAt || (at(a).id < at(b).id ? -1 : 1));
		given.forEach((i, look) => (looks[i] = look));
	}
	return looks;
}
