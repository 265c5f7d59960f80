import { nth } from '../../kernel/lists/nth';
import { tQuantile } from '../../kernel/stats/distributions';
import { targetOf } from '../finding/target';
import type { Finding, QuantityDef } from '../finding/types';
import { distanceMoments, moments, type DistanceMoments } from '../sampling/moments';

/** What a comparison takes of a finding. */
export type Compared = Pick<Finding, 'sampling' | 'shared'>;

/** How a quantity is compared: where nearest is best, by the distance from the target. */
type Def = Pick<QuantityDef, 'direction' | 'target' | 'prior' | 'scale' | 'spacing'>;

/** How far two findings lie apart, the first less the second; where nearest is best, in distances from the target. */
type Difference = { mean: number; sd: number; df: number; /** Variance of what is shared and does not cancel. */ common: number };

/**
 * The difference of two findings of one quantity. An error that both share is the same for both, so only what one has more of it counts.
 * Source: Welch 1947, Biometrika 34, 28-35 (unequal spreads); JCGM 100, 5.2 for errors in common.
 * @returns in the unit of the quantity; null where nothing is known of one of them
 * @example differenceOf({ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }, overhang)?.mean // -1
 */
export function differenceOf(a: Compared, b: Compared, def: Def): Difference | null {
	return between(withMoments(a, def), withMoments(b, def));
}

/** A finding with its moments, which many comparisons of one finding share. */
type WithMoments = { of: Compared; moments: DistanceMoments | null };
const withMoments = (of: Compared, def: Def): WithMoments => ({ of, moments: comparedMoments(of, def) });

function between({ of: a, moments: ma }: WithMoments, { of: b, moments: mb }: WithMoments): Difference | null {
	if (!ma || !mb) return null;
	const common = commonVariance(a, ma, b, mb);
	const variance = ma.sd ** 2 + mb.sd ** 2 + common;
	const tail = (m: { sd: number; df: number }) => (Number.isFinite(m.df) ? m.sd ** 4 / m.df : 0);
	const fourth = tail(ma) + tail(mb);
	return { mean: ma.mean - mb.mean, sd: Math.sqrt(variance), df: fourth === 0 ? Infinity : variance ** 2 / fourth, common };
}

/**
 * Whether two findings of one quantity are told apart: the interval of their difference leaves zero out, at 95 % over all `pairs` comparisons of the
 * column (Bonferroni). Bounds are told apart only when they do not overlap.
 * Source: `differenceOf`; Bonferroni for the family.
 * @param pairs comparisons made in the column, at least 1
 * @example toldApart({ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }, overhang, 1) // true
 */
export function toldApart(a: Compared, b: Compared, def: Def, pairs: number): boolean {
	return apart(withMoments(a, def), withMoments(b, def), def, pairs);
}

/**
 * The same of every two of many findings, by their places in the list. What each comes to is worked out once, not once a pair.
 * @param findings findings of one quantity, one a spool
 * @param pairs comparisons made in the column, at least 1
 * @example toldApartAmong([{ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }], overhang, 1)(0, 1) // true
 */
export function toldApartAmong(findings: readonly Compared[], def: Def, pairs: number): (i: number, j: number) => boolean {
	const all = findings.map((of) => withMoments(of, def));
	return (i, j) => apart(nth(all, i), nth(all, j), def, pairs);
}

function apart(first: WithMoments, second: WithMoments, def: Def, pairs: number): boolean {
	const difference = between(first, second);
	if (!difference) return false;
	const [a, b] = [first.of, second.of];
	if (a.sampling.kind === 'bounds' && b.sampling.kind === 'bounds' && difference.common === 0 && def.direction !== 'nearest')
		return a.sampling.high < b.sampling.low || b.sampling.high < a.sampling.low;
	// Most pairs are no further apart than any such interval is wide: its exact width need not be asked for.
	if (Math.abs(difference.mean) <= LEAST_Z * difference.sd) return false;
	return Math.abs(difference.mean) > halfWidth(difference, pairs) + dust(difference);
}

/**
 * On which side of another a finding stands, where the two are told apart; where nearest is best, nearer is better.
 * @param pairs comparisons made together, at least 1
 * @example sideOf({ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }, { ...overhang, direction: 'more' }, 1) // 'worse'
 */
export function sideOf(a: Compared, b: Compared, def: Def, pairs: number): 'better' | 'worse' | 'open' {
	if (!toldApart(a, b, def, pairs)) return 'open';
	const more = (differenceOf(a, b, def)?.mean ?? 0) > 0;
	return more === (def.direction === 'more') ? 'better' : 'worse';
}

/**
 * Whether two findings are alike enough: all that their difference may be (95 %) is less than what matters. That is more than "not told apart", which
 * few data always are.
 * Source: two one-sided tests (Schuirmann 1987, J. Pharmacokinet. Biopharm. 15, 657-680), at 95 % rather than 90 %; a house rule.
 * @example alikeEnough({ sampling: { kind: 'exact', value: 3 }, shared: [] }, { sampling: { kind: 'exact', value: 4 }, shared: [] }, { ...overhang, differenceThatMatters: 2 }) // true
 */
export function alikeEnough(a: Compared, b: Compared, def: Def & Pick<QuantityDef, 'differenceThatMatters'>): boolean {
	const difference = differenceOf(a, b, def);
	return difference !== null && Math.abs(difference.mean) + halfWidth(difference, 1) <= def.differenceThatMatters + dust(difference);
}

/** Below the 97.5 % quantile of the normal law, and so of every t. */
const LEAST_Z = 1.95;

const halfWidth = ({ sd, df }: Difference, pairs: number): number => (sd === 0 ? 0 : tQuantile(1 - 0.025 / pairs, df) * sd);

/** Binary dust is no difference. */
const dust = ({ mean }: Difference): number => 1e-9 * Math.max(1, Math.abs(mean));

function comparedMoments({ sampling }: Compared, def: Def): DistanceMoments | null {
	if (def.direction === 'nearest') return distanceMoments(sampling, targetOf(def), def);
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
