import { nth } from '../../../kernel/lists/nth';
import { readingsAt } from '../../../record/evidence/readings-at';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { roundsOf, type ScoringRound } from './scoring-rounds';
import type { MarkDef } from './marks';
import type { Marked } from './marks-on';

/** What one round of scoring gave a print for a mark. */
export type Scoring = ScoringRound & { attemptId: string; value: number };

/**
 * Readings a mark rests on; of a ladder its last clean step, of a window its coolest clean floor.
 * @example readingsOfMark(MARKS[0]) // ['overhangLastClean']
 */
export function readingsOfMark(mark: MarkDef): readonly string[] {
	switch (mark.kind) {
		case 'ladder':
			return [mark.lastClean];
		case 'words':
			return mark.readings;
		case 'measure':
			return [mark.reading];
		case 'window':
			return [mark.from];
	}
}

/**
 * Marks as scorings: one value a round. Of several faults seen in one round the worst counts.
 * @param marks counted readings of one mark
 * @example asScorings(marks)[0] // { attemptId: 'a1', scorer: 'Ada', round: 0, value: 2 }
 */
export function asScorings(marks: readonly Marked[]): Scoring[] {
	const rounds = roundsOf(marks);
	const byRound = new Map<string, Scoring>();
	marks.forEach(({ attemptId, scorer, value }, i) => {
		if (attemptId === null) return;
		const round = nth(rounds, i);
		const key = `${attemptId} ${scorer ?? ''} ${round}`;
		const seen = byRound.get(key);
		if (!seen) byRound.set(key, { attemptId, scorer, round, value });
		else if (value > seen.value) seen.value = value;
	});
	return [...byRound.values()];
}

/**
 * Every scoring of a mark on the prints of some spools.
 * @example scoringsOf(spools, MARKS[3]).length // 54
 */
export function scoringsOf(spools: readonly SpoolEvidence[], mark: MarkDef): Scoring[] {
	const readings = readingsOfMark(mark);
	return asScorings(
		spools.flatMap((spool) =>
			readingsAt(spool, 'prints').filter(
				(r): r is Marked => r.attemptId !== null && r.value !== null && r.status === 'counts' && readings.includes(r.quantity)
			)
		)
	);
}
