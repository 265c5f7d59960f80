import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { ScorerEffect, Unbridged } from '../../../judging/trial/worked-out';
import { additiveEffects, mostUsed, untied, type LevelValue } from '../../../kernel/stats/additive-effects';
import { MARKS } from './marks';
import { scoringsOf } from './scorings';

/** Marks of each quantity by who gave them, and the one they are told against. */
function scored(spools: readonly SpoolEvidence[]): { quantity: string; values: LevelValue[]; against: string }[] {
	// A window has two ends: who is milder widens it, which no single shift takes out.
	return MARKS.filter((mark) => mark.kind !== 'window').flatMap((mark) => {
		const values = scoringsOf(spools, mark).flatMap(({ attemptId, scorer, value }): LevelValue[] =>
			scorer === null ? [] : [{ within: attemptId, level: scorer, value }]
		);
		const against = mostUsed(values);
		return against === null ? [] : [{ quantity: mark.def.id, values, against }];
	});
}

/**
 * Leniency of scorers, mark by mark, by prints that several have scored: against the one with the most marks.
 * Marks of nobody in particular are left aside. A scorer no print ties to the others has none, and neither have two who shared one print.
 * @example scorerEffects(spools)[0] // { quantity: 'strings', scorer: 'Ben', against: 'Ada', shift: 0.5, ... }
 */
export function scorerEffects(spools: readonly SpoolEvidence[]): ScorerEffect[] {
	return scored(spools).flatMap(({ quantity, values, against }) =>
		additiveEffects(values, against).map(({ level, shift, standardError, low, high, n }) => ({
			quantity,
			scorer: level,
			against,
			shift,
			standardError,
			low,
			high,
			scorings: n
		}))
	);
}

/**
 * Scorers of whom nobody knows what they add: no prints tie them to the one with the most marks.
 * @example unbridgedScorers(spools) // [{ quantity: 'strings', kind: 'scorer', name: 'Cleo' }]
 */
export function unbridgedScorers(spools: readonly SpoolEvidence[]): Unbridged[] {
	return scored(spools).flatMap(({ quantity, values, against }) =>
		untied(values, against).map((name) => ({ quantity, kind: 'scorer' as const, name }))
	);
}
