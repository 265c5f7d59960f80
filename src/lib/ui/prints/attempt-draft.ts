import type { Missing } from '$lib/core/judging/finding/types';
import { conditionAt } from '$lib/core/record/conditions/condition-at';
import { plural } from '../../words/numbers';
import { SET_UP, type Attempt, type FailureCause, type PrintSettings, type SetUp } from '$lib/core/record/evidence/attempt';
import { stated } from '$lib/core/record/claims/stated';
import type { Piece } from '$lib/core/record/evidence/piece';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
import { SETTING_WORDS } from '../../words/settings';

/** What is typed about one print. Text stays text until the server reads it. */
export type AttemptDraft = {
	outcome: Attempt['outcome'];
	percentReached: string;
	cause: FailureCause | null;
	failure: Attempt['failure'];
	/** Printed while the settings are still being found. */
	tuning: boolean;
	/** Signs of water while it printed. */
	signs: Attempt['signs'];
	/** The portion it was printed from; empty for the spool itself. */
	portionId: string;
	condition: ConditionKind;
	/** Marks that are asked with the print, by their reading. */
	marks: Record<string, string>;
	note: string;
	printerId: string;
	pieceId: string;
	settings: Record<keyof PrintSettings, string>;
	setUp: Record<keyof SetUp, string>;
	roomTemperature: string;
	roomHumidityPct: string;
	grams: string;
	minutes: string;
	/** SHA-256 of the sliced file; empty for not noted. */
	fileHash: string;
	midPrint: string;
};

/** What is seen on one print and belongs to no other. */
const NOTHING_SEEN = {
	outcome: 'finished',
	percentReached: '',
	cause: null,
	failure: null,
	note: '',
	roomTemperature: '',
	roomHumidityPct: '',
	grams: '',
	minutes: '',
	midPrint: ''
} as const satisfies Partial<AttemptDraft>;

const NAMES = Object.keys(SETTING_WORDS) as (keyof PrintSettings)[];

/**
 * A fresh draft with the settings copied forward: from the spool's own last print, else from the trial's last print with the
 * label temperature put in. Only differences have to be typed.
 */
export function freshDraft(given: {
	last: Attempt | null;
	lastOther: Attempt | null;
	labelNozzleC: number | null;
	condition: ConditionKind;
	printerId: string;
	/** The piece that wants printing, if one does. */
	pieceId: string;
}): AttemptDraft {
	const from = given.last?.settings ?? given.lastOther?.settings ?? null;
	const settings = textOf(from);
	if (!given.last && given.labelNozzleC !== null) settings.nozzleC = String(given.labelNozzleC);
	const before = given.last ?? given.lastOther;
	const setUp = Object.fromEntries(SET_UP.map((name) => [name, before?.setUp[name] ?? ''])) as AttemptDraft['setUp'];
	return {
		...NOTHING_SEEN,
		marks: {},
		signs: [],
		tuning: given.last?.tuning ?? false,
		portionId: '',
		condition: given.condition,
		printerId: given.printerId,
		pieceId: given.pieceId,
		settings,
		setUp,
		// The same piece from the same spool is most often the same file.
		fileHash: (given.last?.pieceId === given.pieceId ? given.last.fileHash : null) ?? ''
	};
}

/** Settings as they are typed; what was not noted is empty. */
export function textOf(settings: PrintSettings | null): AttemptDraft['settings'] {
	const text = (name: keyof PrintSettings) => String(settings?.[name] ?? '');
	return Object.fromEntries(NAMES.map((name) => [name, text(name)])) as AttemptDraft['settings'];
}

/** The draft that follows one that was just sent: its settings and set-up stay, what was seen on the print does not. */
export function nextDraft(sent: AttemptDraft): AttemptDraft {
	return { ...sent, ...NOTHING_SEEN, marks: {}, signs: [] };
}

/** A number as typed with comma or point; what is no number goes on as NaN so that the schema refuses it by name. */
export const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

/** The draft as the body of an attempt; empty fields are left out. */
export function draftBody(draft: AttemptDraft): Record<string, unknown> {
	const marks = Object.fromEntries(Object.entries(draft.marks).filter(([, typed]) => typed !== ''));
	const settings = Object.fromEntries(
		NAMES.flatMap((name) => (draft.settings[name].trim() ? [[name, textOrNumber(draft.settings[name])]] : []))
	);
	return {
		outcome: draft.outcome,
		...(draft.outcome === 'failed' && draft.percentReached.trim() ? { percentReached: textOrNumber(draft.percentReached) } : {}),
		...(draft.outcome !== 'finished' && draft.cause ? { cause: draft.cause } : {}),
		...(draft.outcome !== 'finished' && draft.failure ? { failure: draft.failure } : {}),
		...(draft.tuning ? { tuning: true } : {}),
		...(draft.signs.length ? { signs: draft.signs } : {}),
		...(draft.portionId ? { portionId: draft.portionId } : {}),
		condition: draft.condition,
		...(draft.printerId ? { printerId: draft.printerId } : {}),
		pieceId: draft.pieceId,
		settings,
		setUp: Object.fromEntries(Object.entries(draft.setUp).filter(([, text]) => text.trim() !== '')),
		...(draft.roomTemperature.trim() ? { roomTemperature: draft.roomTemperature } : {}),
		...(draft.grams.trim() ? { gramsG: textOrNumber(draft.grams) } : {}),
		...(draft.fileHash ? { fileHash: draft.fileHash } : {}),
		...(draft.midPrint.trim() ? { midPrint: draft.midPrint.trim() } : {}),
		...(draft.minutes.trim() ? { minutes: textOrNumber(draft.minutes) } : {}),
		...(draft.roomHumidityPct.trim() ? { roomHumidityPct: textOrNumber(draft.roomHumidityPct) } : {}),
		marks,
		...(draft.note.trim() ? { note: draft.note.trim() } : {})
	};
}

/** JSON has no NaN: what cannot be a number stays the text it was, and the schema says so at its field. */
export function textOrNumber(text: string): number | string {
	const value = numberOf(text);
	return Number.isFinite(value) ? value : text;
}

/** Settings in one line, as a person would say them. */
export function settingsLine(settings: PrintSettings): string {
	return (
		NAMES.flatMap((name) =>
			settings[name] === null ? [] : [`${SETTING_WORDS[name].name.toLowerCase()} ${settings[name]} ${SETTING_WORDS[name].unit}`]
		).join(' · ') || 'settings not noted'
	);
}

/** A fresh draft of a spool on the bench, in the state it is in now. @param given.prints all of the trial */
export function draftFor(
	evidence: SpoolEvidence | undefined,
	given: { prints: readonly Attempt[]; printerId: string; pieceId: string; at: number }
): AttemptDraft {
	return freshDraft({
		last: evidence?.attempts.at(-1) ?? null,
		lastOther: given.prints.toSorted((a, b) => a.at - b.at).at(-1) ?? null,
		labelNozzleC: evidence ? labelNozzleC(evidence) : null,
		condition: evidence ? conditionAt(evidence, given.at).kind : 'asReceived',
		printerId: given.printerId,
		pieceId: given.pieceId
	});
}

/** How far a spool is with its prints, in the list beside the bench. */
export function printsToDo({ attempts }: Pick<SpoolEvidence, 'attempts'>, missing: Missing | null): string {
	const done = attempts.filter((a) => a.status === 'counts').length;
	if (missing?.action === 'markPiece') return 'to mark';
	if (missing) return done ? `${done}, more to do` : 'to do';
	return plural(done, 'print');
}

/** The middle of the nozzle range on the label; null where it does not state both ends. */
export function labelNozzleC({ claims }: Pick<SpoolEvidence, 'claims'>): number | null {
	const [low, high] = [stated(claims, 'nozzleLowC'), stated(claims, 'nozzleHighC')];
	return low && high ? Math.round((low.value + high.value) / 2) : null;
}

/** Pieces to choose from: those of the trial first, then all others that were not put away; what is chosen stays. */
export function piecesToPrint(
	all: readonly Piece[],
	{ first, putAway, chosen }: { first: readonly string[]; putAway: readonly string[]; chosen: string | undefined }
): Piece[] {
	const ours = first.flatMap((id) => all.filter((p) => p.id === id));
	return [...ours, ...all.filter((p) => !ours.includes(p) && (!putAway.includes(p.id) || p.id === chosen))];
}
