import { stated } from '../../../record/claims/stated';
import { conditionOf } from '../../../record/conditions/condition-at';
import type { Attempt } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import type { ConditionKind } from '../../../record/lists/closed-lists';

/** In what one print departs from what its trial holds equal. */
export type Departure =
	| { kind: 'printer'; is: string; wanted: string }
	| { kind: 'condition'; is: ConditionKind; wanted: ConditionKind }
	/** A nozzle temperature beside the label's, where the label's is to be used. */
	| { kind: 'nozzle'; isC: number; lowC: number; highC: number }
	/** An older or newer version of a piece the trial prints. */
	| { kind: 'version'; is: number; wanted: number };

/**
 * What a print departs in from the basis of a trial: evidence that counts, with what has to be known when it is compared. What was not
 * noted departs from nothing. A piece the trial does not print at all is another question, not a departure.
 * @example departures(evidence, attempt, basis) // [{ kind: 'printer', is: 'South', wanted: 'North' }]
 */
export function departures(evidence: SpoolEvidence, attempt: Attempt, basis: Basis): Departure[] {
	const found: Departure[] = [];
	if (basis.printer && attempt.printer !== null && attempt.printer !== basis.printer.name)
		found.push({ kind: 'printer', is: attempt.printer, wanted: basis.printer.name });
	const condition = conditionOf(evidence, attempt).kind;
	const wanted: ConditionKind = basis.conditionPolicy === 'driedFirst' ? 'dried' : 'asReceived';
	// Where both count, wet and dry are the plan; only time in the air is not.
	if (basis.conditionPolicy === 'both' ? condition === 'exposed' : condition !== wanted)
		found.push({ kind: 'condition', is: condition, wanted });
	const [low, high] = [stated(evidence.claims, 'nozzleLowC')?.value, stated(evidence.claims, 'nozzleHighC')?.value];
	const { nozzleC } = attempt.settings;
	if (basis.settingsPolicy === 'label' && nozzleC !== null && low !== undefined && high !== undefined && (nozzleC < low || nozzleC > high))
		found.push({ kind: 'nozzle', isC: nozzleC, lowC: low, highC: high });
	const piece = evidence.pieces.find((p) => p.id === attempt.pieceId);
	const chosen = evidence.pieces.filter((p) => basis.pieceIds.includes(p.id));
	const version = piece && !chosen.includes(piece) ? chosen.find((p) => p.familyId === piece.familyId) : undefined;
	if (piece && version) found.push({ kind: 'version', is: piece.version, wanted: version.version });
	return found;
}
