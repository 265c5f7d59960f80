import { conditionOf } from '../../../record/conditions/condition-at';
import { wantedCondition } from '../../../judging/trial/wanted';
import type { Attempt } from '../../../record/evidence/attempt';
import type { Piece } from '../../../record/evidence/piece';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import { EMPTY_CONTEXT } from '../../../judging/finding/make-finding';
import type { ConditionKind } from '../../../record/lists/closed-lists';
import type { FindingContext, Missing } from '../../../judging/finding/types';
import { contextOf } from './context';
import type { MarkDef } from './marks';
import { marksFinder, type MarksOn } from './marks-on';
import { settled } from '../../../record/evidence/settled';

/** Prints of one piece in one condition: what a mark belongs to. */
export type Group = {
	evidence: SpoolEvidence;
	basis: Basis;
	condition: ConditionKind;
	pieceId: string;
	piece: Piece | null;
	attempts: Attempt[];
	/** Marks on its prints that count, and what those prints had in common. */
	marks: MarksOn;
	context: FindingContext;
};

/**
 * A mark belongs to a piece in a condition, never to a spool: the groups that have attempts, and those the basis wants.
 * @example groupsOf(evidence, basis).length // 2
 */
export function groupsOf(evidence: SpoolEvidence, basis: Basis): Group[] {
	const byKey = new Map<string, Group>();
	const at = (condition: ConditionKind, pieceId: string): Group => {
		const key = `${condition} ${pieceId}`;
		const piece = evidence.pieces.find((p) => p.id === pieceId) ?? null;
		const group = byKey.get(key) ?? {
			evidence,
			basis,
			condition,
			pieceId,
			piece,
			attempts: [],
			marks: new Map(),
			context: EMPTY_CONTEXT
		};
		byKey.set(key, group);
		return group;
	};
	const wanted = wantedCondition(basis);
	for (const [pieceId] of Object.values(basis.markPieces)) if (pieceId) at(wanted, pieceId);
	for (const attempt of evidence.attempts) at(conditionOf(evidence, attempt).kind, attempt.pieceId).attempts.push(attempt);
	const marksOn = marksFinder(evidence);
	return [...byKey.values()].map((group) => {
		const counted = group.attempts.filter(settled);
		return { ...group, marks: marksOn(counted), context: contextOf(evidence, counted) };
	});
}

/**
 * What would improve a mark: a print without its mark wants looking at, not printing again. Only of the piece the mark is compared on.
 * @param marked prints that have the mark
 * @example missingOf(group, marks[0], 0)[0].action // 'printPiece'
 */
export function missingOf({ basis, pieceId, attempts }: Group, { def }: MarkDef, marked: number): Missing[] {
	if (basis.markPieces[def.id]?.[0] !== pieceId || def.onSheet !== true) return [];
	const printed = attempts.filter((a) => settled(a) && a.outcome === 'finished').length;
	const toMark = printed > marked && marked < basis.repeats;
	const count = (toMark ? Math.min(printed, basis.repeats) : basis.repeats) - marked;
	if (count <= 0) return [];
	const action = toMark ? 'markPiece' : 'printPiece';
	return [{ action, station: 'prints', count, minutes: count * (toMark ? 1 : 60), params: { pieceId } }];
}
