import { nth } from '../../kernel/lists/nth';
import { sum } from 'd3-array';
import { tQuantile } from '../../kernel/stats/distributions';
import { spreadOf } from '../../kernel/stats/spread';
import type { PlaceReadings } from './strand';
import { meanOfPlace } from './strand-of-readings';

type Estimate = { estimate: number; low: number; high: number; n: number };

/**
 * Ovality: the largest less the smallest diameter read at one place, averaged over the places read in at least two directions.
 * One caliper's scatter makes it larger, never smaller.
 * Source: definition as common in wire and tube standards (difference of diameters in one cross-section); ISO 2602 for the interval.
 * @returns null below two such places
 * @example ovality(places)?.estimate // 0.008
 */
export function ovality(places: readonly PlaceReadings[]): Estimate | null {
	const differences = places.filter((p) => p.valuesMm.length >= 2).map((p) => Math.max(...p.valuesMm) - Math.min(...p.valuesMm));
	const over = spreadOf(differences);
	if (!over || over.sd === null) return null;
	const half = (tQuantile(0.975, over.n - 1) * over.sd) / Math.sqrt(over.n);
	return { estimate: over.mean, low: Math.max(0, over.mean - half), high: over.mean + half, n: over.n };
}

export type Drift = Estimate & { per: 'metre' | 'place'; seen: boolean };

/**
 * Drift along the strand: slope of the places' means over their position, in mm a metre, or a place where positions are not known.
 * Source: ordinary least squares with t on n - 2 (Draper & Smith).
 * @returns null below three places, or when all lie at one position
 * @example drift(places) // { estimate: 0.0004, low: -0.001, high: 0.0018, n: 5, per: 'place', seen: false }
 */
export function drift(places: readonly PlaceReadings[]): Drift | null {
	const known = places.every((p) => p.positionM !== null);
	const x = places.map((p) => (known ? (p.positionM as number) : p.index));
	const y = places.map(meanOfPlace);
	const [overX, overY] = [spreadOf(x), spreadOf(y)];
	if (!overX || !overY || overX.n < 3 || !overX.sd) return null;
	// Around the means, which a general regression is not: the interval needs these sums, and a position of 300 m loses no digits.
	const sxx = overX.sd ** 2 * (overX.n - 1);
	const slope = sum(x, (xi, i) => (xi - overX.mean) * (nth(y, i) - overY.mean)) / sxx;
	const rest = sum(x, (xi, i) => (nth(y, i) - overY.mean - slope * (xi - overX.mean)) ** 2);
	const half = tQuantile(0.975, overX.n - 2) * Math.sqrt(rest / (overX.n - 2) / sxx);
	return {
		estimate: slope,
		low: slope - half,
		high: slope + half,
		n: overX.n,
		per: known ? 'metre' : 'place',
		seen: Math.abs(slope) > half
	};
}
