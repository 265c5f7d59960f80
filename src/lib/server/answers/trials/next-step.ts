import { wantedCondition } from '$lib/core/judging/trial/wanted';
import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
import type { Missing } from '$lib/core/judging/finding/types';
import { nextWords } from '$lib/words/messages';
import { sheetOf } from './findings';
import type { TrialWhole } from './load';

/** The next useful act of a trial before it is put into words: null in `missing` asks for the first spool. */
export type NextAct = {
	missing: Missing | null;
	code: string;
	print: { piece: string | null; condition: ConditionKind };
	station: string;
	spoolId: string | null;
};

/** What is done next in a trial; null when nothing is wanted. */
export function nextAct(whole: TrialWhole): NextAct | null {
	const condition = wantedCondition(whole.basis);
	if (whole.spools.length === 0) return { missing: null, code: '', print: { piece: null, condition }, station: 'intake', spoolId: null };
	const { next } = sheetOf(whole);
	if (!next) return null;
	const evidence = whole.spools.find((s) => s.spool.id === next.spoolId);
	const pieceId = 'pieceId' in next.params ? next.params.pieceId : null;
	// Any piece of the trial will do: the first is the one to begin with.
	const piece = evidence?.pieces.find((p) => p.id === (pieceId ?? whole.basis.pieceIds[0])) ?? null;
	const print = { piece: piece && `${piece.name} ${piece.version}`, condition };
	return { missing: next, code: evidence?.spool.code ?? '', print, station: next.station, spoolId: next.spoolId };
}

/** The next useful act in words, and where it is done. */
export const toldAct = ({ missing, code, print, station, spoolId }: NextAct) => ({
	words: missing ? nextWords(missing, code, print) : 'add the first spool. One minute.',
	station,
	spoolId
});

/** The next useful act of a trial in words, and where it is done; null when nothing is wanted. */
export function nextStep(whole: TrialWhole): ReturnType<typeof toldAct> | null {
	const act = nextAct(whole);
	return act && toldAct(act);
}
