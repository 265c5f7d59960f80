/** Where label and handbook say nothing: a common plastic in the common size (common practice, no source). */
export const USUAL_STRAND = { densityGcm3: 1.24, diameterMm: 1.75 } as const;

/**
 * What a piece takes when it is printed solid: grams by the density, metres by the strand's cross-section. A slicer's walls and infill
 * make it less, skirts and purging more.
 * Source: arithmetic.
 * @example materialNeeded(8000, 1.24, 1.75) // { grams: 9.92, metres: 3.33 }
 */
export function materialNeeded(volumeMm3: number, densityGcm3: number, diameterMm: number): { grams: number; metres: number } {
	return { grams: (volumeMm3 * densityGcm3) / 1000, metres: volumeMm3 / ((Math.PI * diameterMm ** 2) / 4) / 1000 };
}
