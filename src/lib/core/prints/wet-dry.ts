import { conditionAt } from '../conditions/condition-at';
import type { Attempt, SpoolEvidence } from '../evidence';
import type { Message } from '../finding/types';
import { judgePairs, type PairsVerdict } from './judge-pairs';
import { bridge, overhang, strings } from './quantities';

/** One mark of one piece printed before and after drying. */
type WetDryPair = { pieceId: string; wet: number; dry: number };

export type WetDry = PairsVerdict & { quantity: string; pairs: WetDryPair[] };

const MARKS = [
	{ def: overhang, mark: 'overhangLastClean' },
	{ def: bridge, mark: 'bridgeLongestClean' },
	{ def: strings, mark: 'strings' }
] as const;

/**
 * Prints of one piece from one spool before and after drying, as pairs: the last one before with the first one after, and so on
 * outwards, so that neighbours in time stand together. A pair needs its mark on both sides; pieces are never mixed.
 * Source: sign test (Conover); the pairing is a house rule.
 * @example wetAndDry(evidence).find((w) => w.quantity === 'strings')?.says // 'tooFew'
 */
export function wetAndDry(evidence: SpoolEvidence): WetDry[] {
	const pieces = [...new Set(evidence.attempts.map((a) => a.pieceId))];
	return MARKS.flatMap(({ def, mark }) => {
		const pairs = pieces.flatMap((pieceId) => pairsOf(evidence, pieceId, mark));
		if (pairs.length === 0) return [];
		const verdict = judgePairs(
			pairs.map(({ wet, dry }) => [wet, dry] as const),
			def
		);
		return [{ quantity: def.id, pairs, ...verdict }];
	});
}

/**
 * The same as a message for the interface.
 * @example wetDryMessage(compared).id // 'wetDry.tooFew'
 */
export function wetDryMessage(compared: WetDry): Message {
	const { quantity, better, worse, same, p, says } = compared;
	return { id: `wetDry.${says}`, params: { quantity, better, worse, same, pairs: compared.pairs.length, p: p ?? 1 } };
}

function pairsOf(evidence: SpoolEvidence, pieceId: string, mark: string): WetDryPair[] {
	const marked = evidence.attempts
		.filter((a) => a.status === 'counts' && a.pieceId === pieceId)
		.sort((a, b) => a.at - b.at)
		.flatMap((attempt) => {
			const value = evidence.readings.find((r) => r.attemptId === attempt.id && r.quantity === mark && r.status === 'counts')?.value;
			return value === undefined || value === null ? [] : [{ attempt, value }];
		});
	const dried = (a: Attempt) => conditionAt(evidence.events, a.at).kind === 'dried';
	const wet = marked.filter((m) => !dried(m.attempt)).reverse();
	const dry = marked.filter((m) => dried(m.attempt));
	return dry.slice(0, wet.length).map((d, i) => ({ pieceId, wet: wet[i]?.value ?? 0, dry: d.value }));
}
