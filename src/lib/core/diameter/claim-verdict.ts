import { boundOf } from './share-inside';
import type { Strand } from './strand';

/** Share of length that has to be inside for a claim to be kept. */
export const SHARE_KEPT = 0.95;
/** Level of the one-sided bounds that decide. */
const LEVEL = 0.95;
/** More readings than this nobody takes by hand. */
const MOST_READINGS = 2000;
const COARSE_SLICES = 16;
/** Readings below which nothing is called kept (common practice, no source: a quick check). */
const LEAST_KEPT = 10;

export type ClaimVerdict = {
	verdict: 'kept' | 'broken' | 'undecided';
	/** Share of length inside: most likely, and its one-sided 95 % bounds. */
	share: { estimate: number; low: number; high: number };
	/** Further readings after which it would be decided if they are like those so far; null when decided, or when no number would do. */
	more: number | null;
	/** Equally likely values of the share, in order. */
	ordered: ArrayLike<number>;
};

/**
 * Verdict on a stated tolerance by the share of length inside it: kept when the lower 95 % bound of that share is at least 95 %,
 * broken when its upper bound is below 95 %, else undecided. Undecided says how many further readings would decide it, or that
 * none will: the instrument's common error does not shrink with more readings.
 * Source: JCGM 106 for deciding under uncertainty; the 95 % of length is the house rule (common practice, no source).
 * @returns null while one place says nothing of the rest
 * @example claimVerdict(strand, 1.73, 1.77) // { verdict: 'undecided', share: { estimate: 0.99, low: 0.91, high: 1 }, more: 12, ... }
 */
export function claimVerdict(strand: Strand, lowMm: number, highMm: number): ClaimVerdict | null {
	const inside = strand.inside(lowMm, highMm);
	if (!inside) return null;
	const share = { estimate: inside.estimate, ...boundsOf(inside.ordered) };
	const { ordered } = inside;
	const verdict = decided(share);
	// A handful may look even by luck: nothing is called kept on fewer readings than a quick check has.
	if (verdict === 'kept' && strand.n < LEAST_KEPT) return { verdict: 'undecided', share, more: LEAST_KEPT - strand.n, ordered };
	return { verdict, share, more: verdict === 'undecided' ? furtherReadings(strand, lowMm, highMm) : null, ordered };
}

const boundsOf = (ordered: ArrayLike<number>) => ({ low: boundOf(ordered, 1 - LEVEL), high: boundOf(ordered, LEVEL) });

function decided(share: { low: number; high: number }): ClaimVerdict['verdict'] {
	if (share.low >= SHARE_KEPT) return 'kept';
	return share.high < SHARE_KEPT ? 'broken' : 'undecided';
}

/** The fewest further independent readings that would decide it if they are like those so far. */
function furtherReadings(strand: Strand, lowMm: number, highMm: number): number | null {
	const wouldDecide = (nEffective: number) => {
		const inside = strand.inside(lowMm, highMm, { nEffective, slices: COARSE_SLICES });
		return inside !== null && decided(boundsOf(inside.ordered)) !== 'undecided';
	};
	if (!wouldDecide(Infinity) || !wouldDecide(strand.nEffective + MOST_READINGS)) return null;
	let low = strand.nEffective;
	let high = strand.nEffective + MOST_READINGS;
	while (high - low > 1) {
		const middle = Math.ceil((low + high) / 2);
		if (wouldDecide(middle)) high = middle;
		else low = middle;
	}
	return high - strand.nEffective;
}

/**
 * Verdict of the stricter school: one reading surely beyond a limit breaks the claim, and only readings that are all surely inside keep
 * it. Surely means by more than the guard band U = 1.645 u (one-sided 95 %).
 * Source: JCGM 106:2012, 8.3 (guarded rejection and acceptance).
 * @param read the smallest and the largest reading
 * @example strictVerdict({ lowMm: 1.75, highMm: 1.81 }, 0.012, 1.73, 1.77) // 'broken'
 */
export function strictVerdict(
	read: { lowMm: number; highMm: number },
	uMm: number,
	lowMm: number,
	highMm: number
): ClaimVerdict['verdict'] {
	const guard = GUARD * uMm;
	const dust = 1e-9;
	if (read.highMm > highMm + guard + dust || read.lowMm < lowMm - guard - dust) return 'broken';
	return read.highMm <= highMm - guard + dust && read.lowMm >= lowMm + guard - dust ? 'kept' : 'undecided';
}

/** One-sided 95 % of the normal law. */
export const GUARD = 1.6449;
