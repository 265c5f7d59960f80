/**
 * Filament used per good print, relative to one print: 1 + w f / (1 - f).
 * Assumes that every failed print is printed again until it succeeds, and that each failure wastes the share w of a print.
 * Source: geometric number of failures before a success, mean f / (1 - f) (arithmetic).
 * @param failureChance f, from 0 to below 1
 * @param wasteShare w, from 0 to 1
 * Errors: throws a RangeError outside these ranges.
 * @returns a ratio, at least 1
 * @example wasteFactor(0.2, 0.5) // 1.125
 */
export function wasteFactor(failureChance: number, wasteShare: number): number {
	if (!(failureChance >= 0 && failureChance < 1)) throw new RangeError('wasteFactor: the chance of failure must be in [0, 1)');
	if (!(wasteShare >= 0 && wasteShare <= 1)) throw new RangeError('wasteFactor: the wasted share must be in [0, 1]');
	return 1 + (wasteShare * failureChance) / (1 - failureChance);
}
