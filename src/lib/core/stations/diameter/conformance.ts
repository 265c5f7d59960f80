import { normalCdf } from '../../kernel/stats/distributions';

/**
 * Chance that what was read really lies between two limits.
 * Source: JCGM 106:2012, 7.2.2 (normal law), equation (7).
 * @param uMm standard uncertainty of the reading; above 0
 * @returns chance, 0 to 1
 * @example conformanceProbability(1.77, 0.0119, 1.73, 1.77) // 0.5
 */
export function conformanceProbability(valueMm: number, uMm: number, lowMm: number, highMm: number): number {
	return normalCdf((highMm - valueMm) / uMm) - normalCdf((lowMm - valueMm) / uMm);
}
