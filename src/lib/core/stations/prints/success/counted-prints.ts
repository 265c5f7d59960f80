import { conditionOf } from '../../../record/conditions/condition-at';
import { wantedCondition } from '../../../judging/trial/wanted';
import type { Attempt } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { materialClass } from '../../../judging/handbook/material-class';
import { successPriorOf } from '../../../judging/posterior/prior-set';
import { successOf, type Success } from '../../../judging/posterior/success';
import type { Basis } from '../../../judging/trial/basis';
import { outcomes, type Outcomes } from './outcomes';

/** Prints that count for success and cost, and what they say with what is known of such prints. */
export type CountedPrints = Outcomes & {
	success: Success;
	/** Cells of the record that tell how often such prints finish; 0 where that is assumed. */
	cells: number;
	/** Prints on other pieces or in another state, which say nothing of these. */
	elsewhere: number;
};

type Of = Pick<Basis, 'conditionPolicy' | 'pieceIds' | 'failureRule' | 'handbook' | 'priors'>;

/**
 * Prints of the trial's pieces in the state that counts; all of them where there are none such, which the comparison then flags.
 * @example countedPrints(evidence, basis).success.estimate // 0.93
 */
export function countedPrints(evidence: SpoolEvidence, basis: Of): CountedPrints {
	const wanted = wantedCondition(basis);
	const familyOf = (pieceId: string) => evidence.pieces.find((p) => p.id === pieceId)?.familyId ?? pieceId;
	const families = new Set(basis.pieceIds.map(familyOf));
	const belongs = (a: Attempt) => (families.size === 0 || families.has(familyOf(a.pieceId))) && conditionOf(evidence, a).kind === wanted;
	const valid = evidence.attempts.filter((a) => a.status === 'counts');
	// What was soaked was soaked on purpose: nothing of it is charged to the product.
	const fair = valid.filter((a) => conditionOf(evidence, a).kind !== 'soaked');
	const here = outcomes(valid.filter(belongs), basis.failureRule);
	const all = outcomes(fair, basis.failureRule);
	const counts = here.counted.length > 0 ? here : all;
	const kinds = [...new Set(counts.counted.map((a) => familyOf(a.pieceId)))];
	const { cells, ...prior } = successPriorOf(basis.priors, {
		kind: kinds.length === 1 ? (kinds[0] ?? null) : null,
		material: materialClass(evidence.spool.material, basis.handbook)
	});
	return {
		...counts,
		success: successOf(counts.finished, counts.failed, prior),
		cells,
		elsewhere: all.counted.length - counts.counted.length
	};
}
