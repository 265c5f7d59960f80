import { conditionAt } from '../conditions/condition-at';
import type { Attempt, Piece, Protocol, Reading, SpoolEvidence } from '../evidence';
import type { ConditionKind, Missing } from '../finding/types';
import type { MarkDef } from './marks';

/** Prints of one piece in one condition: what a mark belongs to. */
export type Group = {
	evidence: SpoolEvidence;
	protocol: Protocol;
	condition: ConditionKind;
	pieceId: string;
	piece: Piece | null;
	attempts: Attempt[];
};

/**
 * A mark belongs to a piece in a condition, never to a spool: the groups that have attempts, and those the protocol wants.
 * @example groupsOf(evidence, protocol).length // 2
 */
export function groupsOf(evidence: SpoolEvidence, protocol: Protocol): Group[] {
	const byKey = new Map<string, Group>();
	const at = (condition: ConditionKind, pieceId: string): Group => {
		const key = `${condition} ${pieceId}`;
		const piece = evidence.pieces.find((p) => p.id === pieceId) ?? null;
		const group = byKey.get(key) ?? { evidence, protocol, condition, pieceId, piece, attempts: [] };
		byKey.set(key, group);
		return group;
	};
	const wanted: ConditionKind = protocol.conditionPolicy === 'driedFirst' ? 'dried' : 'asReceived';
	for (const [pieceId] of Object.values(protocol.markPieces)) if (pieceId) at(wanted, pieceId);
	for (const attempt of evidence.attempts) at(conditionAt(evidence.events, attempt.at).kind, attempt.pieceId).attempts.push(attempt);
	return [...byKey.values()];
}

/**
 * Readings of some quantity that belong to the counted prints of a group, struck out ones among them.
 * @example marksOf(group, 'strings').length // 3
 */
export function marksOf({ evidence, attempts }: Pick<Group, 'evidence' | 'attempts'>, quantity: string): (Reading & { value: number })[] {
	const ids = new Set(attempts.filter((a) => a.status === 'counts').map((a) => a.id));
	return evidence.readings.filter(
		(r): r is Reading & { value: number } =>
			r.station === 'prints' && r.quantity === quantity && r.attemptId !== null && ids.has(r.attemptId) && r.value !== null
	);
}

/**
 * What would improve a mark: a print without its mark wants looking at, not printing again. Only of the piece the mark is compared on.
 * @param marked prints that have the mark
 * @example missingOf(group, marks[0], 0)[0].action // 'printPiece'
 */
export function missingOf({ protocol, pieceId, attempts }: Group, { def }: MarkDef, marked: number): Missing[] {
	if (protocol.markPieces[def.id]?.[0] !== pieceId || def.onSheet !== true) return [];
	const printed = attempts.filter((a) => a.status === 'counts' && a.outcome === 'finished').length;
	const toMark = printed > marked && marked < protocol.repeats;
	const count = (toMark ? Math.min(printed, protocol.repeats) : protocol.repeats) - marked;
	if (count <= 0) return [];
	const action = toMark ? 'markPiece' : 'printPiece';
	return [{ action, station: 'prints', count, minutes: count * (toMark ? 1 : 60), params: { count, pieceId } }];
}
