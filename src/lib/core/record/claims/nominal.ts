import type { SpoolEvidence } from '../evidence/spool-evidence';
import { stated } from './stated';

/** The diameter most printers take (common practice, no source). */
export const USUAL_NOMINAL_MM = 1.75;

/**
 * The nominal diameter a trial is laid out for: the one most of its spools state, else 1.75 mm.
 * @returns mm
 * @example nominalDiameter(spools) // 2.85
 */
export function nominalDiameter(spools: readonly Pick<SpoolEvidence, 'claims'>[]): number {
	const counts = new Map<number, number>();
	for (const spool of spools) {
		const said = stated(spool.claims, 'diameter')?.value;
		if (said !== undefined) counts.set(said, (counts.get(said) ?? 0) + 1);
	}
	return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0] ?? USUAL_NOMINAL_MM;
}
