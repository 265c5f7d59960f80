/**
 * Compares in whole units of the resolution instead of binary fractions, so that 1.77 <= 1.75 + 0.02 is true.
 * @param a in the unit of the resolution
 * @param b in the unit of the resolution
 * @param resolution of the reading, in the unit of both values
 * @returns negative, zero or positive as a is below, on or above b
 * @example compareAtResolution(1.77, 1.75 + 0.02, 0.01) // 0
 */
export function compareAtResolution(a: number, b: number, resolution: number): number {
	// A hundredth of the resolution: a limit may be stated finer than the reading (1.755), dust is far below it.
	const unit = resolution / 100;
	return Math.round(a / unit) - Math.round(b / unit);
}
