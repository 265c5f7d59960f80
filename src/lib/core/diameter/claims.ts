import { stated } from '../claims/stated';
import type { Protocol, SpoolEvidence } from '../evidence';

/** One tolerance a maker states, with its limits. */
export type ToleranceClaim = { source: 'label' | 'listing'; toleranceMm: number; lowMm: number; highMm: number };

/**
 * The tolerances stated for a spool: the label's first, the listing's beside it where it says otherwise.
 * @example toleranceClaims(evidence, protocol).claims.map((c) => c.toleranceMm) // [0.02, 0.03]
 */
export function toleranceClaims(
	evidence: SpoolEvidence,
	protocol: Pick<Protocol, 'nominalMm'>
): { nominalMm: number; claims: ToleranceClaim[] } {
	const nominalMm = stated(evidence.claims, 'diameter')?.value ?? protocol.nominalMm;
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
