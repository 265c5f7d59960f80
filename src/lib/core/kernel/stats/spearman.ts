import { nth } from '../lists/nth';
import { mean, permute, range } from 'd3-array';
import { fCdf } from './distributions';
import { midRanks } from './mid-ranks';

/** Up to here all orders are gone through: 40,320 of eight. */
const MOST_EXACT = 8;

/**
 * Spearman's rank correlation, ties by mean ranks.
 * Source: Spearman 1904; Conover, Practical Nonparametric Statistics, 3rd ed., 5.4.
 * @param x any unit
 * @param y any unit, as many as `x`
 * @returns no unit, -1 to 1; null where one of the two is the same throughout
 * @example spearman([1, 2, 3], [10, 20, 15]) // 0.5
 */
export const spearman = (x: readonly number[], y: readonly number[]): number | null => pearson(midRanks(x), midRanks(y));

/**
 * Two-sided p value of Spearman's rank correlation: up to eight pairs exact, how many orders of `y` go with `x` at least as much, one way or the other;
 * beyond by Student's t on n - 2 degrees of freedom.
 * Source: Conover, Practical Nonparametric Statistics, 3rd ed., 5.4 (permutation; approximation), as scipy's spearmanr has it.
 * @param x any unit
 * @param y any unit, as many as `x`
 * @returns no unit, 0 to 1; null where the correlation is not defined
 * @example spearmanP([1, 2, 3], [10, 20, 15]) // 1
 */
export function spearmanP(x: readonly number[], y: readonly number[]): number | null {
	const seen = spearman(x, y);
	if (seen === null) return null;
	if (x.length > MOST_EXACT) return approximateP(seen, x.length);
	const [rx, ry] = [midRanks(x), midRanks(y)];
	let [all, asFar] = [0, 0];
	for (const order of orders(x.length)) {
		all += 1;
		// Equal correlations differ by binary dust.
		if (Math.abs(pearson(rx, permute(ry, order)) ?? 0) >= Math.abs(seen) - 1e-9) asFar += 1;
	}
	return asFar / all;
}

/** The square of t follows F on one and n - 2 degrees of freedom; all in one order leaves no scatter. */
function approximateP(r: number, n: number): number {
	const left = 1 - r * r;
	return left < 1e-12 ? 0 : 1 - fCdf((r * r * (n - 2)) / left, 1, n - 2);
}

/** Every order of n things. Source: Heap 1963. */
function* orders(n: number): Generator<number[]> {
	const order = range(n);
	const turns = range(n).fill(0);
	yield order;
	let i = 1;
	while (i < n) {
		if (nth(turns, i) < i) {
			const j = i % 2 === 0 ? 0 : nth(turns, i);
			[order[i], order[j]] = [nth(order, j), nth(order, i)];
			yield order;
			turns[i] = nth(turns, i) + 1;
			i = 1;
		} else {
			turns[i] = 0;
			i += 1;
		}
	}
}

function pearson(x: readonly number[], y: readonly number[]): number | null {
	const [mx, my] = [mean(x) ?? 0, mean(y) ?? 0];
	const sum = (of: (i: number) => number) => x.reduce((total, _, i) => total + of(i), 0);
	const dx = (i: number) => nth(x, i) - mx;
	const dy = (i: number) => nth(y, i) - my;
	const spread = Math.sqrt(sum((i) => dx(i) ** 2) * sum((i) => dy(i) ** 2));
	return spread === 0 ? null : sum((i) => dx(i) * dy(i)) / spread;
}
