import { nth } from '../lists/nth';
import { logGamma, normalCdf } from './distributions';

/** Distribution of the studentised range of a number of groups, for given degrees of freedom of the spread. */
export type StudentizedRange = { cdf(q: number): number; inv(p: number): number };

/** Step of the table of the range's distribution; small enough for a cubic between its points. */
const STEP = 0.05;
const REACH = 8;
const WIDEST = 16;
const SPREAD_POINTS = 240;
const tables = new Map<number, Float64Array>();

/**
 * Studentised range of `groups` means. The distribution of the plain range is tabulated once a number of groups, so that hundreds of pairs
 * with degrees of freedom of their own cost next to nothing (a general library took ten milliseconds for one).
 * Source: Copenhaver & Holland 1988, J. Stat. Comput. Simul. 30, 1-15, for the two integrals; checked against R's ptukey and qtukey.
 * Errors: throws a RangeError below two groups.
 * @param groups how many means are compared
 * @example studentizedRange(3, 10).inv(0.95) // 3.877
 */
export function studentizedRange(groups: number, df: number): StudentizedRange {
	if (!Number.isInteger(groups) || groups < 2) throw new RangeError(`studentizedRange: ${groups} groups`);
	const table = tables.get(groups) ?? rangeTable(groups);
	tables.set(groups, table);
	const { points, weights } = spreads(df);
	const cdf = (q: number): number => {
		if (q <= 0) return 0;
		let sum = 0;
		for (let i = 0; i < points.length; i++) sum += nth(weights, i) * between(table, q * nth(points, i));
		return Math.min(1, sum);
	};
	return { cdf, inv: (p) => inverse(cdf, p) };
}

/** Where an increasing function reaches p: bracketed, then by false position that never sticks to one end (Illinois). */
function inverse(cdf: (q: number) => number, p: number): number {
	let [low, high] = [0, 4];
	let [atLow, atHigh] = [-p, cdf(high) - p];
	while (atHigh < 0 && high < 1e6) {
		[low, atLow] = [high, atHigh];
		high *= 2;
		atHigh = cdf(high) - p;
	}
	for (let i = 0; i < 100 && Math.abs(high - low) > 1e-9 * high; i++) {
		const next = (low * atHigh - high * atLow) / (atHigh - atLow);
		const at = cdf(next) - p;
		if (Math.abs(at) < 1e-12) return next;
		if (at * atHigh < 0) [low, atLow] = [high, atHigh];
		else atLow /= 2;
		[high, atHigh] = [next, at];
	}
	return high;
}

/** Chance that the range of so many standard normal values is at most w, for w in steps. */
function rangeTable(groups: number): Float64Array {
	const zs = (2 * REACH) / STEP;
	const phi = Float64Array.from({ length: zs + WIDEST / STEP + 1 }, (_, i) => normalCdf(-REACH + i * STEP));
	const density = Float64Array.from({ length: zs + 1 }, (_, i) => Math.exp(-((-REACH + i * STEP) ** 2) / 2) / Math.sqrt(2 * Math.PI));
	return Float64Array.from({ length: WIDEST / STEP + 1 }, (_, w) => {
		let sum = 0;
		// The trapezoid rule is exact to machine precision for a smooth integrand that dies away at both ends.
		for (let i = 0; i <= zs; i++) sum += nth(density, i) * (nth(phi, i + w) - nth(phi, i)) ** (groups - 1);
		return groups * sum * STEP;
	});
}

/** Cubic through four neighbouring points of the table. */
function between(table: Float64Array, w: number): number {
	const place = w / STEP;
	const last = table.length - 1;
	if (place >= last) return 1;
	const i = Math.min(Math.max(Math.floor(place), 1), last - 2);
	const t = place - i;
	const [a, b, c, d] = [table[i - 1], table[i], table[i + 1], table[i + 2]] as unknown as [number, number, number, number];
	return (
		(-a * t * (t - 1) * (t - 2)) / 6 +
		(b * (t + 1) * (t - 1) * (t - 2)) / 2 -
		(c * (t + 1) * t * (t - 2)) / 2 +
		(d * (t + 1) * t * (t - 1)) / 6
	);
}

/** Points and weights of the spread estimate's distribution, chi over the root of its degrees of freedom, even in its logarithm. */
function spreads(df: number): { points: Float64Array; weights: Float64Array } {
	if (df > 1e6) return { points: Float64Array.of(1), weights: Float64Array.of(1) };
	const high = Math.log(1 + 9 / Math.sqrt(df));
	const low = Math.max(Math.log(1e-5), -12 / Math.sqrt(df));
	const step = (high - low) / SPREAD_POINTS;
	const constant = Math.log(2) + (df / 2) * Math.log(df / 2) - logGamma(df / 2);
	const points = Float64Array.from({ length: SPREAD_POINTS + 1 }, (_, i) => Math.exp(low + i * step));
	const weights = points.map((s, i) => {
		const ends = i === 0 || i === SPREAD_POINTS ? 0.5 : 1;
		return ends * step * Math.exp(constant + df * (low + i * step) - (df * s * s) / 2);
	});
	return { points, weights };
}
