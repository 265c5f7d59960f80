import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
import { SET_UP, type Attempt } from '$lib/core/record/evidence/attempt';
import { textOf, textOrNumber, type AttemptDraft } from './attempt-draft';

/** What can be put right about a print. Text stays text until the server reads it. */
export type AttemptEdit = Pick<
	AttemptDraft,
	| 'outcome'
	| 'percentReached'
	| 'cause'
	| 'failure'
	| 'tuning'
	| 'signs'
	| 'portionId'
	| 'printerId'
	| 'pieceId'
	| 'settings'
	| 'setUp'
	| 'grams'
	| 'midPrint'
	| 'condition'
>;

/** Printers as they are called: evidence tells a print's printer by its name. */
type Printers = readonly { id: string; name: string }[];

/**
 * A print as it stands, to be put right.
 * @param condition the state it was printed in
 */
export function editOf(attempt: Attempt, condition: ConditionKind, printers: Printers): AttemptEdit {
	const { outcome, cause, failure, tuning, signs, pieceId, settings, percentReached } = attempt;
	return {
		signs: [...signs],
		portionId: attempt.portionId ?? '',
		printerId: printers.find((p) => p.name === attempt.printer)?.id ?? '',
		grams: String(attempt.gramsG ?? ''),
		midPrint: attempt.midPrint ?? '',
		setUp: Object.fromEntries(SET_UP.map((name) => [name, attempt.setUp[name] ?? ''])) as AttemptEdit['setUp'],
		outcome,
		percentReached: outcome === 'failed' ? String(percentReached) : '',
		cause,
		failure,
		tuning,
		pieceId,
		settings: textOf(settings),
		condition
	};
}

/** What was changed, as the fields of a correction; what was not touched is left out. */
export function correctedIn(attempt: Attempt, condition: ConditionKind, edit: AttemptEdit, printers: Printers): Record<string, unknown> {
	const before = editOf(attempt, condition, printers);
	const changed = (name: keyof AttemptEdit) => JSON.stringify(edit[name]) !== JSON.stringify(before[name]);
	const end = (['outcome', 'percentReached', 'cause', 'failure'] as const).some(changed);
	return {
		...(end ? endOf(edit) : {}),
		...(changed('tuning') ? { tuning: edit.tuning } : {}),
		...(changed('condition') ? { condition: edit.condition } : {}),
		...(changed('pieceId') ? { pieceId: edit.pieceId } : {}),
		...(changed('settings') ? { settings: settingsOf(edit.settings) } : {}),
		...(changed('signs') ? { signs: edit.signs } : {}),
		// What was emptied is not known after all.
		...(changed('portionId') ? { portionId: edit.portionId || null } : {}),
		...(changed('printerId') ? { printerId: edit.printerId || null } : {}),
		...(changed('grams') ? { gramsG: edit.grams.trim() ? textOrNumber(edit.grams) : null } : {}),
		...(changed('midPrint') ? { midPrint: edit.midPrint.trim() || null } : {}),
		...(changed('setUp') ? { setUp: Object.fromEntries(Object.entries(edit.setUp).filter(([, text]) => text.trim() !== '')) } : {})
	};
}

/** How a print ended is said whole: one part of it without the others may contradict them. */
function endOf({ outcome, percentReached, cause, failure }: AttemptEdit): Record<string, unknown> {
	if (outcome === 'finished') return { outcome };
	return {
		outcome,
		...(outcome === 'failed' && percentReached.trim() ? { percentReached: textOrNumber(percentReached) } : {}),
		...(cause ? { cause } : {}),
		...(failure ? { failure } : {})
	};
}

const settingsOf = (texts: AttemptEdit['settings']): Record<string, number | string> =>
	Object.fromEntries(Object.entries(texts).flatMap(([name, text]) => (text.trim() ? [[name, textOrNumber(text)]] : [])));
