import { conditionAt } from '../conditions/condition-at';
import type { Attempt } from '../evidence/attempt';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import { say, type Message } from '../finding/message';
import { judgePairs, type PairsVerdict } from './judge-pairs';
import { MARKS, type MarkDef } from './marks';
import { marksFinder, type MarksOn } from './marks-on';
import { printValues } from './print-values';

/** One mark of one piece printed before and after drying. */
type WetDryPair = { pieceId: string; wet: number; dry: number };

export type WetDry = PairsVerdict & { quantity: string; pairs: WetDryPair[] };

/** Prints of one piece, oldest first. */
type Prints = { pieceId: string; attempts: Attempt[]; marks: MarksOn };

/** What drying is asked about: every mark that people give. A size alone is neither better nor worse; shrinkage is compared as two ways. */
const ASKED = MARKS.filter((m) => m.asked === undefined && !(m.kind === 'measure' && m.against !== undefined));

/**
 * Prints of one piece from one spool before and after drying, as pairs: the last one before with the first one after, and so on
 * outwards, so that neighbours in time stand together. A pair needs its mark on both sides; pieces are never mixed.
 * Source: sign test (Conover); the pairing is a house rule.
 * @example wetAndDry(evidence, basis).find((w) => w.quantity === 'strings')?.outcome // 'tooFew'
 */
export function wetAndDry(evidence: SpoolEvidence, basis: Pick<Basis, 'scorerEffects'>): WetDry[] {
	const marksOn = marksFinder(evidence);
	const pieces = [...new Set(evidence.attempts.map((a) => a.pieceId))].map((pieceId) => {
		const attempts = evidence.attempts.filter((a) => a.pieceId === pieceId).sort((a, b) => a.at - b.at);
		return { pieceId, attempts, marks: marksOn(attempts) };
	});
	const found = ASKED.map((mark) => ({ def: mark.def, pairs: pieces.flatMap((prints) => pairsOf(evidence, basis, prints, mark)) })).filter(
		({ pairs }) => pairs.length > 0
	);
	const verdicts = judgePairs(found.map(({ def, pairs }) => ({ def, pairs: pairs.map(({ wet, dry }) => [wet, dry] as const) })));
	return found.map(({ def, pairs }, i) => ({ quantity: def.id, pairs, ...(verdicts[i] as PairsVerdict) }));
}

/**
 * The same as a message for the interface.
 * @example wetDryMessage(compared).id // 'wetDry.tooFew'
 */
export function wetDryMessage(compared: WetDry): Message {
	const { quantity, better, worse, same, p, outcome } = compared;
	return say(`wetDry.${outcome}`, { quantity, better, worse, same, pairs: compared.pairs.length, p: p ?? 1 });
}

function pairsOf(
	evidence: SpoolEvidence,
	basis: Pick<Basis, 'scorerEffects'>,
	{ pieceId, attempts, marks }: Prints,
	mark: MarkDef
): WetDryPair[] {
	const values = new Map(printValues({ marks, basis }, mark).map((v) => [v.attemptId, v.value]));
	const valuesOf = (of: readonly Attempt[]) => of.flatMap((a) => values.get(a.id) ?? []);
	const dried = (a: Attempt) => conditionAt(evidence.events, a.at).kind === 'dried';
	const wet = valuesOf(attempts.filter((a) => !dried(a))).reverse();
	const dry = valuesOf(attempts.filter(dried));
	return dry.slice(0, wet.length).map((value, i) => ({ pieceId, wet: wet[i] ?? 0, dry: value }));
}
