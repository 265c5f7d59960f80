import { spreadOf } from '../../kernel/stats/spread';

/**
 * What readings of something of known size say of an instrument: what it shows too much, and the spread of single readings.
 * Source: JCGM 200 (VIM), 2.18 and 2.21; arithmetic.
 * Errors: throws a RangeError without readings.
 * @param reference true size of the pin or mass, in the unit of the readings
 * @example checkOfReadings(1.7, [1.71, 1.71, 1.72]) // { bias: 0.0133, repeatability: 0.0058, n: 3 }
 */
export function checkOfReadings(reference: number, readings: readonly number[]): { bias: number; repeatability: number | null; n: number } {
	const over = spreadOf(readings);
	if (!over) throw new RangeError('checkOfReadings: no readings');
	return { bias: over.mean - reference, repeatability: over.sd, n: over.n };
}
