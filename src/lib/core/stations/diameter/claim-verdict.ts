import { LEAST_SPOTS, LOOK_LEVEL, LOOKS, nextLook } from './looks';
import { boundOf } from './share-inside';
import type { Strand } from './strand';

/** Share of length that has to be inside for a claim to be kept. */
export const SHARE_KEPT = 0.95;
/** Level of the one-sided bounds that are told, and by which a log is judged, which is looked at once. */
const LEVEL = 0.95;
/** A log worth fewer independent readings says nothing of a claim (common practice, no source). */
const LEAST_OF_LOG = 10;
const COARSE_SLICES = 16;

export type ClaimVerdict = {
	verdict: 'kept' | 'broken' | 'undecided';
	/** Share of length inside: most likely, and one-sided bounds; of a decision those that decided it. */
	share: { estimate: number; low: number; high: number };
	/** Readings at which it is looked at next; null when decided, after the last look, and for a log. */
	next: number | null;
	/** The look at which it would be decided if readings go on like those so far; null when decided, or when none will. */
	decidesAt: number | null;
	/** Too little to say anything yet: places of the strand, or independent readings of a log. */
	tooFew: { have: number; least: number } | null;
	/** Equally likely values of the share, in order. */
	ordered: ArrayLike<number>;
};

/**
 * Verdict on a stated tolerance by the share of length inside it: kept when the lower bound of that share is at least 95 %, broken when the most it
 * may be is below 95 %, else undecided. Single readings are looked at when there are 12, 24, 48, 96 and 192 of them, from six places at least;
 * between looks the last verdict stands. Undecided says at which look it would be decided, or that none will do: the instrument's common error
 * does not shrink with more readings. A log is looked at once.
 * Source: JCGM 106 for deciding under uncertainty; group-sequential bounds (Pocock 1977, Biometrika 64, 191-199), their level by simulation; the
 * 95 % of length is the house rule (common practice, no source).
 * @returns null while one place says nothing of the rest
 * @example claimVerdict(strand, 1.73, 1.77) // { verdict: 'undecided', share: { estimate: 0.99, low: 0.91, high: 1 }, next: 24, decidesAt: 48, ... }
 */
export function claimVerdict(strand: Strand, lowMm: number, highMm: number): ClaimVerdict | null {
	const inside = strand.inside(lowMm, highMm);
	if (!inside) return null;
	const { ordered, estimate } = inside;
	const told = { estimate, low: boundOf(ordered, 1 - LEVEL), high: strand.most(lowMm, highMm, LEVEL) ?? 1 };
	const few = tooFew(strand);
	const undecided = { verdict: 'undecided' as const, share: told, next: null, decidesAt: null, tooFew: few, ordered };
	if (strand.from === 'log') {
		if (few) return undecided;
		return { ...undecided, verdict: decided(told) };
	}
	// Each look that was reached, the latest first: what was decided then stands.
	for (const look of [...strand.looks].reverse()) {
		const share = boundsAt(look, lowMm, highMm, LOOK_LEVEL);
		if (look.spots < LEAST_SPOTS || !share || decided(share) === 'undecided') continue;
		return { ...undecided, verdict: decided(share), share: { estimate, ...share } };
	}
	return { ...undecided, next: nextLook(strand.n), decidesAt: decidesAt(strand, lowMm, highMm) };
}

function tooFew({ from, spots, nEffective }: Strand): ClaimVerdict['tooFew'] {
	if (from === 'log') return nEffective < LEAST_OF_LOG ? { have: Math.floor(nEffective), least: LEAST_OF_LOG } : null;
	return spots < LEAST_SPOTS ? { have: spots, least: LEAST_SPOTS } : null;
}

type Bounds = { low: number; high: number };

function boundsAt(
	strand: Strand,
	lowMm: number,
	highMm: number,
	level: number,
	given: { nEffective?: number; slices?: number } = {}
): Bounds | null {
	const inside = strand.inside(lowMm, highMm, given);
	const most = strand.most(lowMm, highMm, level, given);
	return inside && most !== null ? { low: boundOf(inside.ordered, 1 - level), high: most } : null;
}

function decided({ low, high }: Bounds): ClaimVerdict['verdict'] {
	if (low >= SHARE_KEPT) return 'kept';
	return high < SHARE_KEPT ? 'broken' : 'undecided';
}

/** The first look to come at which it would be decided, if each further reading is one more like those so far, at a place of its own. */
function decidesAt(strand: Strand, lowMm: number, highMm: number): number | null {
	return (
		LOOKS.find((look) => {
			if (look <= strand.n) return false;
			const nEffective = strand.nEffective + look - strand.n;
			const share = boundsAt(strand, lowMm, highMm, LOOK_LEVEL, { nEffective, slices: COARSE_SLICES });
			return share !== null && decided(share) !== 'undecided';
		}) ?? null
	);
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
