import { group } from 'd3-array';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { materialClass } from '../../../judging/handbook/material-class';
import type { SuccessCell } from '../../../judging/posterior/learn-set';
import type { Basis } from '../../../judging/trial/basis';
import { kindOfPiece } from '../marks/find-mark';
import { outcomes } from './outcomes';

/**
 * What a spool's prints teach of the share that finishes: one cell a kind of piece. Failures that are not the filament's teach nothing of it.
 * @example successCells(evidence, basis)[0] // { kind: 'ladder', material: 'PETG', finished: 3, failed: 1, reached: [0.4] }
 */
export function successCells(evidence: SpoolEvidence, { handbook, failureRule }: Pick<Basis, 'handbook' | 'failureRule'>): SuccessCell[] {
	const material = materialClass(evidence.spool.material, handbook);
	const kindOf = (pieceId: string) => kindOfPiece({ pieceId, piece: evidence.pieces.find((p) => p.id === pieceId) ?? null });
	return [...group(evidence.attempts, (a) => kindOf(a.pieceId))].flatMap(([kind, attempts]) => {
		const { finished, failed, reached } = outcomes(attempts, failureRule);
		return finished + failed === 0 ? [] : [{ kind, material, finished, failed, reached }];
	});
}
