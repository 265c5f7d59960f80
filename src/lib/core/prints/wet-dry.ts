import { conditionAt } from '../conditions/condition-at';
import type { Attempt, SpoolEvidence } from '../evidence';
import type { Message } from '../finding/types';
import { signTest } from '../stats/sign-test';
import { bridge, overhang, strings } from './quantities';

/** One mark of one piece printed before and after drying. */
type WetDryPair = { pieceId: string; wet: number; dry: number };

export type WetDry = {
	quantity: string;
	pairs: WetDryPair[];
	better: number;
	worse: number;
	same: number;
	/** Exact two-sided sign test; null while there are too few pairs to say anything. */
	p: number | null;
	says: 'helped' | 'hurt' | 'noDifference' | 'tooFew';
};

/** Under six untied pairs no p value of the sign test can be under 0.05. */
const LEAST_PAIRS = 6;

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
		const sign = def.direction === 'more' ? 1 : -1;
		const better = pairs.filter((p) => sign * (p.dry - p.wet) > 0).length;
		const worse = pairs.filter((p) => sign * (p.dry - p.wet) < 0).length;
		const test = signTest(better, worse);
		const enough = test.pairs >= LEAST_PAIRS || (pairs.length >= LEAST_PAIRS && test.pairs === 0);
		const p = enough ? test.p : null;
		const parted = p !== null && p < 0.05;
		return [
			{
				quantity: def.id,
				pairs,
				better,
				worse,
				same: pairs.length - better - worse,
				p,
				says: !enough ? 'tooFew' : parted ? (better > worse ? 'helped' : 'hurt') : 'noDifference'
			} as const
		];
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
