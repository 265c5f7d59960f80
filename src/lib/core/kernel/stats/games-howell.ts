import { studentizedRange } from './studentized-range';

export type Group = { mean: number; sd: number; n: number };
export type PairTest = { i: number; j: number; difference: number; low: number; high: number; p: number };

/**
 * All pairs of groups with unequal spreads and sizes, at 95 % over the family.
 * Source: Games & Howell 1976, J. Educ. Stat. 1, 113-125.
 * @param commonSd standard uncertainty that a pair's difference has besides its scatter (two instruments); widens, degrees of freedom unchanged
 * @returns pairs in order (0,1), (0,2), ... ; groups without spread or of one value are left out
 * @example gamesHowell([{ mean: 1.75, sd: 0.01, n: 10 }, { mean: 1.77, sd: 0.02, n: 10 }])[0].p // 0.014
 */
export function gamesHowell(
	groups: readonly Group[],
	{ level = 0.95, commonSd = () => 0 }: { level?: number; commonSd?: (i: number, j: number) => number } = {}
): PairTest[] {
	const usable = groups.map((g, i) => ({ ...g, i })).filter((g) => g.n >= 2 && g.sd > 0);
	if (usable.length < 2) return [];
	return usable.flatMap((a, at) =>
		usable.slice(at + 1).map((b): PairTest => {
			const [va, vb] = [a.sd ** 2 / a.n, b.sd ** 2 / b.n];
			const df = (va + vb) ** 2 / (va ** 2 / (a.n - 1) + vb ** 2 / (b.n - 1));
			const se = Math.sqrt((va + vb + commonSd(a.i, b.i) ** 2) / 2);
			const difference = a.mean - b.mean;
			const range = studentizedRange(usable.length, df);
			const half = range.inv(level) * se;
			const p = Math.max(0, 1 - range.cdf(Math.abs(difference) / se));
			return { i: a.i, j: b.i, difference, low: difference - half, high: difference + half, p };
		})
	);
}
