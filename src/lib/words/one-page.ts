import type { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import { CONDITION_POLICY_WORDS, RULE_WORDS, SETTINGS_POLICY_WORDS, VERDICT_WORDS } from './closed-lists';
import { plural } from './numbers';
import { bareValue, columnUnit, inSentence, quantityName } from './quantities';

// Sentences of scorecard and report: what stands on paper has no page beside it to explain it.

type Verdict = { kind: (typeof VERDICT_KINDS)[number]; buyFor: string | null };

/**
 * A verdict as it is told everywhere.
 * @example verdictWords({ kind: 'buyFor', buyFor: 'brackets' }) // 'buy for brackets'
 */
export const verdictWords = ({ kind, buyFor }: Verdict): string => (kind === 'buyFor' ? `buy for ${buyFor}` : VERDICT_WORDS[kind]);

const listed = (what: string, names: readonly string[]): string[] => (names.length > 0 ? [`${what}: ${names.join(', ')}.`] : []);

/**
 * What is not known, in sentences; empty where nothing is missing.
 * @example notKnown({ unmeasured: ['strings'], lost: 1 }) // 'Not measured: strings. 1 print lost to other causes than the filament.'
 */
export function notKnown(given: { unmeasured: readonly string[]; uncounted?: readonly QuantityDef[]; lost?: number }): string {
	const { unmeasured, uncounted = [], lost = 0 } = given;
	return [
		...listed('Not measured', unmeasured),
		...listed('Measured, not counted', uncounted.map(inSentence)),
		...(lost > 0 ? [`${plural(lost, 'print')} lost to other causes than the filament.`] : [])
	].join(' ');
}

/** What held whatever was hung on it: the load it is stronger than, by the part that held least. */
export const heldWords = (def: QuantityDef, kind: string, { n, leastN }: { n: number; leastN: number }, currency: string): string =>
	`${quantityName(def)}, ${kind}: over ${bareValue(def, leastN)} ${columnUnit(def, currency)}. ${n === 1 ? 'The one test part did not break.' : `None of ${n} test parts broke.`}`;

/** How a trial was tested, and by which rule it is picked: what is not said is left out. */
export function howTested(given: {
	prints: number;
	pieces: readonly string[];
	conditionPolicy: keyof typeof CONDITION_POLICY_WORDS;
	settingsPolicy: keyof typeof SETTINGS_POLICY_WORDS;
	printer: string | null;
	scorers: readonly string[];
	instruments: readonly string[];
	rule: keyof typeof RULE_WORDS;
}): string {
	const { prints, pieces, printer, scorers, instruments } = given;
	const parts = [
		`${plural(prints, 'print')}${pieces.length > 0 ? ` of ${pieces.join(', ')}` : ''}`,
		CONDITION_POLICY_WORDS[given.conditionPolicy],
		`settings: ${SETTINGS_POLICY_WORDS[given.settingsPolicy]}`,
		...(printer ? [printer] : []),
		...(scorers.length > 0 ? [`marked by ${scorers.join(', ')}`] : []),
		...(instruments.length > 0 ? [instruments.join(', ')] : [])
	];
	return `${parts.join('; ')}. Rule: ${RULE_WORDS[given.rule]}.`;
}
