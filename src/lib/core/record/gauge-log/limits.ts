import type { ThickSpot } from './thick-spots';

/** How thick a strand may be before it sticks in a printer. */
export type PathLimits = { feedPathMm: number; throatMm: number; assumed: boolean };

/** Usual bores for a nominal diameter: a guide tube a quarter of a millimetre wider, a nozzle throat a fifth (from memory). */
const USUAL = { feedPathOver: 0.25, throatOver: 0.2 };

/**
 * The limits of a printer's path; usual ones where they are not known.
 * @example pathLimits(1.75, null) // { feedPathMm: 2, throatMm: 1.95, assumed: true }
 */
export function pathLimits(nominalMm: number, known: { feedPathMm: number | null; throatMm: number | null } | null): PathLimits {
	return {
		feedPathMm: known?.feedPathMm ?? nominalMm + USUAL.feedPathOver,
		throatMm: known?.throatMm ?? nominalMm + USUAL.throatOver,
		assumed: known?.feedPathMm == null || known.throatMm == null
	};
}

/**
 * Thickenings that reach the narrower of the two limits.
 * @example jamming(thickSpots.thickest, pathLimits(1.75, null)).length // 1
 */
export function jamming(thickest: readonly ThickSpot[], limits: PathLimits): ThickSpot[] {
	const narrow = Math.min(limits.feedPathMm, limits.throatMm);
	return thickest.filter((b) => b.peakMm >= narrow);
}
