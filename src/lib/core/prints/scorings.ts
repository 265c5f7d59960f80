import type { SpoolEvidence } from '../evidence/spool-evidence';
import { looksOf, type Look } from './looks';
import type { MarkDef } from './marks';
import type { Marked } from './marks-on';

/** What one look at one print gave for a mark. */
export type Scoring = Look & { attemptId: string; value: number };

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
 * Marks as scorings: one value a look. Of several faults seen in one look the worst counts.
 * @param marks counted readings of one mark
 * @example asScorings(marks)[0] // { attemptId: 'a1', scorer: 'Ada', look: 0, value: 2 }
 */
export function asScorings(marks: readonly Marked[]): Scoring[] {
	const looks = looksOf(marks);
	const byLook = new Map<string, Scoring>();
	marks.forEach(({ attemptId, scorer, value }, i) => {
		if (attemptId === null) return;
		const look = looks[i] as number;
		const key = `${attemptId} ${scorer ?? ''} ${look}`;
		const seen = byLook.get(key);
		if (!seen) byLook.set(key, { attemptId, scorer, look, value });
		else if (value > seen.value) seen.value = value;
	});
	return [...byLook.values()];
}

/**
 * Every scoring of a mark on the prints of some spools.
 * @example scoringsOf(spools, MARKS[3]).length // 54
 */
export function scoringsOf(spools: readonly SpoolEvidence[], mark: MarkDef): Scoring[] {
	const readings = readingsOfMark(mark);
	return asScorings(
		spools.flatMap((spool) =>
			spool.readings.filter(
				(r): r is Marked => r.attemptId !== null && r.value !== null && r.status === 'counts' && readings.includes(r.quantity)
			)
		)
	);
}
