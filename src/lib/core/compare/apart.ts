import { tQuantile } from '../stats/distributions';
import type { Finding, QuantityDef } from '../finding/types';
import { distanceMoments, moments, type DistanceMoments } from '../sampling/moments';

/** What a comparison takes of a finding. */
export type Compared = Pick<Finding, 'sampling' | 'shared'>;

/** How a quantity is compared: where nearest is best, by the distance from the target. */
type Def = Pick<QuantityDef, 'direction' | 'target' | 'prior' | 'scale' | 'spacing'>;

/**
 * Whether two findings of one quantity are told apart: the interval of their difference leaves zero out (Welch, unequal spreads),
 * at 95 % over all `pairs` comparisons of the column (Bonferroni). Bounds are told apart only when they do not overlap. An error that both
 * share is the same for both, so only what one has more of it counts.
 * Source: Welch 1947, Biometrika 34, 28-35; Bonferroni for the family; JCGM 100, 5.2 for errors in common.
 * @param pairs comparisons made in the column, at least 1
 * @example toldApart({ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }, def, 1) // true
 */
export function toldApart(a: Compared, b: Compared, def: Def, pairs: number): boolean {
	const ma = comparedMoments(a, def);
	const mb = comparedMoments(b, def);
	if (!ma || !mb) return false;
	const common = commonVariance(a, ma, b, mb);
	if (a.sampling.kind === 'bounds' && b.sampling.kind === 'bounds' && common === 0 && def.direction !== 'nearest')
		return a.sampling.high < b.sampling.low || b.sampling.high < a.sampling.low;
	const variance = ma.sd ** 2 + mb.sd ** 2 + common;
	const difference = Math.abs(ma.mean - mb.mean);
	// Binary dust is no difference.
	if (variance === 0) return difference > 1e-9 * Math.max(Math.abs(ma.mean), Math.abs(mb.mean));
	const tail = (m: { sd: number; df: number }) => (Number.isFinite(m.df) ? m.sd ** 4 / m.df : 0);
	const fourth = tail(ma) + tail(mb);
	const df = fourth === 0 ? Infinity : variance ** 2 / fourth;
	return difference > tQuantile(1 - 0.025 / pairs, df) * Math.sqrt(variance);
}

function comparedMoments({ sampling }: Compared, def: Def): DistanceMoments | null {
	if (def.direction === 'nearest') return distanceMoments(sampling, def.target ?? (def.scale.low + def.scale.high) / 2, def);
	const of = moments(sampling);
	return of && { ...of, slope: 1 };
}

/** Variance that errors with a name add to a difference: one that both have cancels as far as they have it alike. */
function commonVariance(a: Compared, ma: DistanceMoments, b: Compared, mb: DistanceMoments): number {
	const sources = new Set([...a.shared, ...b.shared].map((part) => part.source));
	let variance = 0;
	for (const source of sources) {
		const of = (c: Compared) => c.shared.find((part) => part.source === source)?.sd ?? 0;
		variance += (ma.slope * of(a) - mb.slope * of(b)) ** 2;
	}
	return variance;
}
