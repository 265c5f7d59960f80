import { stated } from '../../record/claims/stated';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';

/** One tolerance a maker states, with its limits. */
export type ToleranceClaim = { source: 'label' | 'listing'; toleranceMm: number; lowMm: number; highMm: number };

/**
 * The tolerances stated for a spool: the label's first, the listing's beside it where it says otherwise.
 * @example toleranceClaims(evidence, basis).claims.map((c) => c.toleranceMm) // [0.02, 0.03]
 */
export function toleranceClaims(evidence: SpoolEvidence, basis: Pick<Basis, 'nominalMm'>): { nominalMm: number; claims: ToleranceClaim[] } {
	const nominalMm = stated(evidence.claims, 'diameter')?.value ?? basis.nominalMm;
	const said = stated(evidence.claims, 'diameterTolerance');
	const claim = (source: ToleranceClaim['source'], toleranceMm: number): ToleranceClaim => ({
		source,
		toleranceMm,
		lowMm: nominalMm - toleranceMm,
		highMm: nominalMm + toleranceMm
	});
	if (!said) return { nominalMm, claims: [] };
	const other = said.other !== null && said.other !== said.value ? [claim('listing', said.other)] : [];
	return { nominalMm, claims: [claim(said.source, said.value), ...other] };
}
