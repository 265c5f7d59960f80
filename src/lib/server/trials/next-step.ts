import { wantedCondition } from '$lib/core/conditions/wanted';
import { nextWords } from '$lib/ui/words/messages';
import { sheetOf } from './findings';
import type { TrialWhole } from './load';

/** The next useful act of a trial in words, and where it is done; null when nothing is wanted. */
export function nextStep(whole: TrialWhole, now: number): { words: string; station: string; spoolId: string | null } | null {
	if (whole.spools.length === 0) return { words: 'add the first spool. One minute.', station: 'intake', spoolId: null };
	const { next } = sheetOf(whole, now);
	if (!next) return null;
	const evidence = whole.spools.find((s) => s.spool.id === next.spoolId);
	const pieceId = 'pieceId' in next.params ? next.params.pieceId : null;
	// Any piece of the trial will do: the first is the one to begin with.
	const piece = evidence?.pieces.find((p) => p.id === (pieceId ?? whole.basis.pieceIds[0])) ?? null;
	const print = { piece: piece && `${piece.name} ${piece.version}`, condition: wantedCondition(whole.basis) };
	return { words: nextWords(next, evidence?.spool.code ?? '', print), station: next.station, spoolId: next.spoolId };
}
