import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { ScorerEffect } from '../trial/worked-out';
import { additiveEffects, mostUsed, type LevelValue } from '../stats/additive-effects';
import { MARKS } from './marks';
import { scoringsOf } from './scorings';

/**
 * Leniency of scorers, mark by mark, by prints that several have scored: against the one with the most marks.
 * Marks of nobody in particular are left aside. A scorer no print ties to the others has none, and neither have two who shared one print.
 * @example scorerEffects(spools)[0] // { quantity: 'strings', scorer: 'Ben', against: 'Ada', shift: 0.5, ... }
 */
export function scorerEffects(spools: readonly SpoolEvidence[]): ScorerEffect[] {
	// A window has two ends: who is milder widens it, which no single shift takes out.
	return MARKS.filter((mark) => mark.kind !== 'window').flatMap((mark) => {
		const values = scoringsOf(spools, mark).flatMap(({ attemptId, scorer, value }): LevelValue[] =>
			scorer === null ? [] : [{ within: attemptId, level: scorer, value }]
		);
		const against = mostUsed(values);
		if (against === null) return [];
		return additiveEffects(values, against).map(({ level, shift, standardError, low, high, n }) => ({
			quantity: mark.def.id,
			scorer: level,
			against,
			shift,
			standardError,
			low,
			high,
			scorings: n
		}));
	});
}
