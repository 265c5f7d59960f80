import { nth } from '../lists/nth';
import { sum } from 'd3-array';
import { tQuantile } from './distributions';

export type Kappa = { kappa: number; standardError: number; low: number; high: number; n: number };

/**
 * Agreement of two scorers on the same things in ordered words, beyond what chance would give: Cohen's kappa with quadratic weights.
 * Source: Cohen 1968, Psychol. Bull. 70, 213-220; standard error by Fleiss, Cohen & Everitt 1969.
 * @param pairs ranks of the two scorers, from 0 to words - 1
 * @param words how many ranks there are
 * @returns null where there is nothing to agree on: fewer than two things, or both gave one and the same word throughout
 * @example weightedKappa([[0, 0], [1, 1], [2, 1], [3, 3]], 4)?.kappa // 0.90
 */
export function weightedKappa(pairs: readonly (readonly [number, number])[], words: number): Kappa | null {
	const n = pairs.length;
	if (n < 2 || words < 2) return null;
	const ranks = Array.from({ length: words }, (_, i) => i);
	const share = (of: (pair: readonly [number, number]) => boolean) => pairs.filter(of).length / n;
	const p = ranks.map((i) => ranks.map((j) => share(([a, b]) => a === i && b === j)));
	const weight = (i: number, j: number) => 1 - ((i - j) / (words - 1)) ** 2;
	const first = ranks.map((i) => share(([a]) => a === i));
	const second = ranks.map((j) => share(([, b]) => b === j));
	const over = (of: (i: number, j: number) => number) => sum(ranks, (i) => sum(ranks, (j) => of(i, j)));
	const at = (i: number, j: number) => (p[i] as number[])[j] as number;
	const observed = over((i, j) => weight(i, j) * at(i, j));
	const expected = over((i, j) => weight(i, j) * nth(first, i) * nth(second, j));
	if (1 - expected < 1e-12) return null;
	const kappa = (observed - expected) / (1 - expected);
	const meanOfRow = ranks.map((i) => sum(ranks, (j) => weight(i, j) * nth(second, j)));
	const meanOfColumn = ranks.map((j) => sum(ranks, (i) => weight(i, j) * nth(first, i)));
	const squares = over((i, j) => at(i, j) * (weight(i, j) - (nth(meanOfRow, i) + nth(meanOfColumn, j)) * (1 - kappa)) ** 2);
	const variance = Math.max(0, squares - (kappa - expected * (1 - kappa)) ** 2) / (n * (1 - expected) ** 2);
	const standardError = Math.sqrt(variance);
	const half = tQuantile(0.975, Infinity) * standardError;
	return { kappa, standardError, low: Math.max(-1, kappa - half), high: Math.min(1, kappa + half), n };
}
