import { nth } from '../lists/nth';
import { sum } from 'd3-array';
import { midRanks } from './mid-ranks';

/**
 * Wilcoxon's signed rank test, exact: of all ways to sign the ranks of the differences, how many are at least as lopsided. Differences of
 * zero are left out; tied ones get the mean of their ranks, and the law is that of those very ranks.
 * Source: Wilcoxon 1945; Hollander & Wolfe, Nonparametric Statistical Methods, 3.1; ties by enumeration (Streitberg & Roehmel 1986).
 * @param differences after less before, one a pair
 * @returns null where no pair differs
 * @example wilcoxonSignedRank([5.1, -1.2, 3.3, 2.2]) // { rankSum: 9, pairs: 4, p: 0.25 }
 */
export function wilcoxonSignedRank(differences: readonly number[]): { rankSum: number; pairs: number; p: number } | null {
	const untied = differences.filter((d) => d !== 0);
	const n = untied.length;
	if (n === 0) return null;
	// Twice the ranks are whole numbers even where ties share them.
	const doubled = midRanks(untied.map(Math.abs)).map((rank) => 2 * rank);
	const total = sum(doubled);
	let chances = new Float64Array(total + 1);
	chances[0] = 1;
	for (const rank of doubled) {
		const next = new Float64Array(total + 1);
		for (let sum = 0; sum <= total; sum++) next[sum] = (nth(chances, sum) + (sum >= rank ? nth(chances, sum - rank) : 0)) / 2;
		chances = next;
	}
	const seen = sum(doubled, (rank, i) => (nth(untied, i) > 0 ? rank : 0));
	const tail = (from: number, to: number) => sum(chances.slice(from, to + 1));
	return { rankSum: seen / 2, pairs: n, p: Math.min(1, 2 * Math.min(tail(0, seen), tail(seen, total))) };
}
