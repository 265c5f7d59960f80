import { compareAtResolution } from '../../kernel/stats/resolution';

/**
 * Readings beyond two limits, limits inclusive, compared in units of the display and not in binary fractions.
 * @returns how many readings
 * @example countOutside([1.73, 1.77, 1.78], 1.73, 1.77, 0.01) // 1
 */
export function countOutside(valuesMm: readonly number[], lowMm: number, highMm: number, resolutionMm: number): number {
	return valuesMm.filter((v) => compareAtResolution(v, highMm, resolutionMm) > 0 || compareAtResolution(v, lowMm, resolutionMm) < 0).length;
}
