import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import type { RecordCell } from '../posterior/record-cell';
import type { Finding, Missing, QuantityDef } from '../finding/types';

/**
 * A place on the bench where one kind of evidence is taken.
 * `find` is pure: the same evidence and basis give the same findings, whenever they are asked for. A question about a moment ("how wet is it
 * today") is put to what it is about, with the moment; no finding knows what day it is.
 */
export type Station = {
	id: string;
	quantities(basis: Basis): QuantityDef[];
	find(evidence: SpoolEvidence, basis: Basis): Finding[];
	/** What this spool's evidence teaches of such pieces and parts: cells from which priors are learnt. */
	cells?(evidence: SpoolEvidence, basis: Basis): RecordCell[];
	/** Invited where it would change an answer, never demanded: without weight in the pick it is nobody's next step. */
	invited?: true;
	/** The next useful acts at this station for one spool, the most useful first. */
	next(findings: Finding[], basis: Basis): Missing[];
};
