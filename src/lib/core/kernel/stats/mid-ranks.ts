/**
 * Ranks from 1; values that are equal, or differ by binary dust only, share the mean of theirs.
 * Source: Conover, Practical Nonparametric Statistics, 3rd ed., 5.1.
 * @param values any unit
 * @returns ranks, no unit, in the order of the values
 * @example midRanks([3, 1, 3]) // [2.5, 1, 2.5]
 */
export function midRanks(values: readonly number[]): number[] {
	return values.map((value) => {
		const dust = 1e-9 * Math.max(1, Math.abs(value));
		const below = values.filter((v) => v < value - dust).length;
		const same = values.filter((v) => Math.abs(v - value) <= dust).length;
		return below + (same + 1) / 2;
	});
}
