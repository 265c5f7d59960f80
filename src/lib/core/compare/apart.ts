import { tQuantile } from '../stats/distributions';
import type { Sampling } from '../finding/types';
import { moments } from './moments';

/**
 * Whether two findings of one quantity are told apart: the interval of their difference leaves zero out (Welch, unequal spreads),
 * at 95 % over all `pairs` comparisons of the column (Bonferroni). Bounds are told apart only when they do not overlap.
 * Source: Welch 1947, Biometrika 34, 28-35; Bonferroni for the family.
 * @param pairs comparisons made in the column, at least 1
 * @example toldApart({ kind: 'exact', value: 3 }, { kind: 'exact', value: 4 }, 1) // true
 */
export function toldApart(a: Sampling, b: Sampling, pairs: number): boolean {
	const ma = moments(a);
	const mb = moments(b);
	if (!ma || !mb) return false;
	if (a.kind === 'bounds' && b.kind === 'bounds') return a.high < b.low || b.high < a.low;
	const variance = ma.sd ** 2 + mb.sd ** 2;
	if (variance === 0) return ma.mean !== mb.mean;
	const tail = (m: { sd: number; df: number }) => (Number.isFinite(m.df) ? m.sd ** 4 / m.df : 0);
	const fourth = tail(ma) + tail(mb);
	const df = fourth === 0 ? Infinity : variance ** 2 / fourth;
	return Math.abs(ma.mean - mb.mean) > tQuantile(1 - 0.025 / pairs, df) * Math.sqrt(variance);
}
