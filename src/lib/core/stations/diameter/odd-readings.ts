import { median, medianAbsoluteDeviation } from 'simple-statistics';
import type { Reading } from '../../record/evidence/reading';

/** Distances below this are ordinary filament, however even its other readings are (common practice, no source). */
const SMALLEST_ODD_MM = 0.06;

/**
 * Readings far from the rest that deserve a question: over 5 robust standard deviations (1.4826 x median absolute deviation)
 * and over 0.06 mm from the median. They go on counting until the tester answers; a confirmed one is not asked again.
 * Needs four readings to say anything. Source: Hampel identifier; the two thresholds are common practice, no source.
 * @example oddReadings(readings).map((r) => r.value) // [1.57] of 1.76, 1.75, 1.57, 1.76 and 1.75
 */
export function oddReadings(readings: readonly Reading[]): Reading[] {
	const valued = readings.filter((r): r is Reading & { value: number } => r.value !== null);
	if (valued.length < 4) return [];
	const values = valued.map((r) => r.value);
	const centre = median(values);
	const spread = 1.4826 * medianAbsoluteDeviation(values);
	const limit = Math.max(5 * spread, SMALLEST_ODD_MM);
	return valued.filter((r) => !r.confirmed && Math.abs(r.value - centre) > limit);
}
