import { normalCdf, normalQuantile } from '../../kernel/stats/distributions';
import { GUARD, SHARE_KEPT } from './claim-verdict';

/** What an instrument can ever say of a tolerance, however many readings are taken. */
export type Decisiveness = {
	able: 'both' | 'evenFilament' | 'onlyBroken';
	/** Largest spread of a strand, on the nominal diameter, whose claim it could show kept; null when none. */
	keepSdMm: number | null;
	/** Distance of the mean from the nominal from which it could show the claim broken, even of a strand without spread. */
	breakFromMm: number;
};

/** An instrument that uses up more than this part of the spread allowed shows only even strands kept (common practice, no source). */
const FULL_SD_SHARE = 0.75;

/**
 * Whether an instrument can decide a claim at all, before any reading. Its common error stays: with a standard uncertainty of over
 * tolerance / 1.96 not even a perfect strand leaves 95 % of length inside beyond doubt.
 * Source: JCGM 106 for the rule; arithmetic on the verdict of claim-verdict with endless readings.
 * @example decisiveness(0.0115, 0.02).able // 'onlyBroken'
 */
export function decisiveness(uMm: number, toleranceMm: number): Decisiveness {
	const farthest = normalQuantile((1 + SHARE_KEPT) / 2) * uMm;
	const breakFromMm = toleranceMm + GUARD * uMm;
	if (farthest >= toleranceMm) return { able: 'onlyBroken', keepSdMm: null, breakFromMm };
	const inside = (sd: number) => normalCdf((toleranceMm - farthest) / sd) - normalCdf((-toleranceMm - farthest) / sd);
	const keepSdMm = largestSd(inside, toleranceMm);
	const without = largestSd((sd) => normalCdf(toleranceMm / sd) - normalCdf(-toleranceMm / sd), toleranceMm);
	return { able: keepSdMm >= FULL_SD_SHARE * without ? 'both' : 'evenFilament', keepSdMm, breakFromMm };
}

function largestSd(inside: (sd: number) => number, toleranceMm: number): number {
	let [low, high] = [0, toleranceMm];
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (inside(middle) >= SHARE_KEPT) low = middle;
		else high = middle;
	}
	return low;
}
