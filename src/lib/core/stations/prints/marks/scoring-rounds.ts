import { nth } from '../../../kernel/lists/nth';
import type { Marked } from './marks-on';

/** One scoring of a print: who looked, and which round of scoring this was, from 0. */
export type ScoringRound = { scorer: string | null; round: number };

/**
 * For each mark the round it was given in: a second mark of one scorer for one thing on one print is a second round, not a correction.
 * @example roundsOf([markOfAda, laterMarkOfAda]) // [0, 1]
 */
export function roundsOf(marks: readonly Marked[]): number[] {
	const same = new Map<string, number[]>();
	marks.forEach(({ attemptId, quantity, scorer }, i) => {
		const key = `${attemptId} ${quantity} ${scorer ?? ''}`;
		const given = same.get(key);
		if (given) given.push(i);
		else same.set(key, [i]);
	});
	const rounds = new Array<number>(marks.length).fill(0);
	const at = (i: number) => nth(marks, i);
	for (const given of same.values()) {
		if (given.length < 2) continue;
		given.sort((a, b) => at(a).takenAt - at(b).takenAt || (at(a).id < at(b).id ? -1 : 1));
		given.forEach((i, round) => (rounds[i] = round));
	}
	return rounds;
}
