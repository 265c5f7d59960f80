import { sum } from 'd3-array';
import { stated } from '../../../record/claims/stated';
import { conditionOf } from '../../../record/conditions/condition-at';
import type { Piece } from '../../../record/evidence/piece';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import type { ConditionKind } from '../../../record/lists/closed-lists';
import { materialOf } from '../../../judging/handbook/material-of';
import { settled } from '../../../record/evidence/settled';
import { materialNeeded, USUAL_STRAND } from '../../../judging/pieces/library/material-needed';

/** One print that is still wanted. */
type WantedPrint = { spoolId: string; pieceId: string; condition: ConditionKind };

/** How much of a spool is left, and which of its wanted pieces that covers, in the order of the trial. */
type Coverage = { spoolId: string; leftG: number | null; neededG: number; covered: string[]; short: string[] };

export type PrintQueue = {
	/** Spool after spool turn about, so that no spool is always printed first or in one season; or all of one spool together. */
	balanced: WantedPrint[];
	grouped: WantedPrint[];
	/** Times the filament has to be changed in each order. */
	changes: { balanced: number; grouped: number };
	coverage: Coverage[];
};

/**
 * What is left to print: pieces by spools by conditions, up to the repeats a trial wants. Balanced, the spools take turns, and each round
 * begins with another one; grouped, each spool is loaded once.
 * Source: rotation as in a cyclic design (John & Williams 1995); common practice.
 * @param gramsOf what a piece takes, as weighed or said; null where only its volume is known, or nothing
 * @example printQueue(spools, basis, () => 14).changes // { balanced: 12, grouped: 4 }
 */
export function printQueue(
	spools: readonly SpoolEvidence[],
	basis: Pick<Basis, 'pieceIds' | 'conditionPolicy' | 'repeats' | 'handbook' | 'nominalMm'>,
	gramsOf: (piece: Piece) => { grams: number | null; volumeMm3: number | null }
): PrintQueue {
	const wantedOf = spools.map((evidence) => wanted(evidence, basis));
	const grouped = wantedOf.flat();
	const balanced = inTurns(wantedOf);
	return {
		balanced,
		grouped,
		changes: { balanced: changesOf(balanced), grouped: changesOf(grouped) },
		coverage: spools.map((evidence, i) => coverageOf(evidence, wantedOf[i] ?? [], basis, gramsOf))
	};
}

/** Dried prints come last: a spool is printed as it came before it is dried. */
function wanted(
	evidence: SpoolEvidence,
	{ pieceIds, conditionPolicy, repeats }: Pick<Basis, 'pieceIds' | 'conditionPolicy' | 'repeats'>
): WantedPrint[] {
	const conditions: ConditionKind[] =
		conditionPolicy === 'both' ? ['asReceived', 'dried'] : conditionPolicy === 'driedFirst' ? ['dried'] : ['asReceived'];
	const done = (pieceId: string, condition: ConditionKind) =>
		evidence.attempts.filter(
			(a) => settled(a) && a.outcome === 'finished' && a.pieceId === pieceId && conditionOf(evidence, a).kind === condition
		).length;
	return conditions.flatMap((condition) =>
		pieceIds.flatMap((pieceId) =>
			Array.from({ length: Math.max(0, repeats - done(pieceId, condition)) }, () => ({ spoolId: evidence.spool.id, pieceId, condition }))
		)
	);
}

function inTurns(wantedOf: readonly WantedPrint[][]): WantedPrint[] {
	const rounds = Math.max(0, ...wantedOf.map((w) => w.length));
	return Array.from({ length: rounds }, (_, round) => {
		const first = wantedOf.length ? round % wantedOf.length : 0;
		return [...wantedOf.slice(first), ...wantedOf.slice(0, first)].flatMap((w) => w[round] ?? []);
	}).flat();
}

const changesOf = (prints: readonly WantedPrint[]) => prints.filter((p, i) => i > 0 && p.spoolId !== prints[i - 1]?.spoolId).length;

function coverageOf(
	evidence: SpoolEvidence,
	prints: readonly WantedPrint[],
	{ handbook, nominalMm }: Pick<Basis, 'handbook' | 'nominalMm'>,
	gramsOf: (piece: Piece) => { grams: number | null; volumeMm3: number | null }
): Coverage {
	const density = materialOf(evidence.spool.material, handbook)?.densityGcm3?.low ?? USUAL_STRAND.densityGcm3;
	const takes = (pieceId: string): number => {
		const piece = evidence.pieces.find((p) => p.id === pieceId);
		const said = piece ? gramsOf(piece) : { grams: null, volumeMm3: null };
		return said.grams ?? (said.volumeMm3 === null ? 0 : materialNeeded(said.volumeMm3, density, nominalMm).grams);
	};
	const net = stated(evidence.claims, 'netMassG')?.value ?? null;
	const used = sum(
		evidence.attempts.filter((a) => a.status === 'counts'),
		(a) => a.gramsG ?? (takes(a.pieceId) * a.percentReached) / 100
	);
	const leftG = net === null ? null : Math.max(0, net - used);
	let left = leftG ?? Infinity;
	const covered: string[] = [];
	const short: string[] = [];
	for (const { pieceId } of prints) {
		const needs = takes(pieceId);
		if (needs <= left) {
			left -= needs;
			covered.push(pieceId);
		} else short.push(pieceId);
	}
	return { spoolId: evidence.spool.id, leftG, neededG: sum(prints, (p) => takes(p.pieceId)), covered, short };
}
