import { nth } from '../lists/nth';
import { sum } from 'd3-array';
import { tQuantile } from './distributions';

export type Alpha = {
	alpha: number;
	/** Jackknife over the things scored; null where leaving one out leaves nothing to agree on. */
	low: number | null;
	high: number | null;
	/** Things at least two have scored, and scorings of them. */
	n: number;
	scorings: number;
};

/** How far two values are apart: by the ranks between them, or by their size. */
export type AlphaScale = 'ordinal' | 'interval';

/**
 * Agreement of any number of scorers, some of whom left things out, beyond what chance would give: Krippendorff's alpha.
 * Source: Krippendorff, Computing Krippendorff's alpha-reliability, 2011; interval by the jackknife over things (Efron 1982).
 * @param units for each thing the values it was given; a thing with fewer than two is left aside
 * @returns null where there is nothing to agree on: fewer than two things, or one and the same value throughout
 * @example krippendorffAlpha([[0, 0, 1], [3, 3, 3], [1, 1]], 'ordinal')?.n // 3
 */
export function krippendorffAlpha(units: readonly (readonly number[])[], scale: AlphaScale): Alpha | null {
	const paired = units.filter((u) => u.length > 1);
	const alpha = paired.length < 2 ? null : alphaOf(paired, scale);
	if (alpha === null) return null;
	const scorings = sum(paired, (u) => u.length);
	const without = paired.map((_, i) =>
		alphaOf(
			paired.filter((__, k) => k !== i),
			scale
		)
	);
	const m = paired.length;
	const known = without.filter((a) => a !== null);
	if (m < 3 || known.length < m) return { alpha, low: null, high: null, n: m, scorings };
	const mean = sum(known) / m;
	const standardError = Math.sqrt(((m - 1) / m) * sum(known, (a) => (a - mean) ** 2));
	const half = tQuantile(0.975, m - 1) * standardError;
	return { alpha, low: Math.max(-1, alpha - half), high: Math.min(1, alpha + half), n: m, scorings };
}

function alphaOf(units: readonly (readonly number[])[], scale: AlphaScale): number | null {
	const values = [...new Set(units.flat())].sort((a, b) => a - b);
	const place = new Map(values.map((v, i) => [v, i]));
	const totals = values.map((v) => sum(units, (u) => u.filter((x) => x === v).length));
	const n = sum(totals);
	const before = totals.map((_, i) => sum(totals.slice(0, i)));
	const at = (list: readonly number[], i: number) => nth(list, i);
	// An ordinal distance counts the scorings between two ranks, half of those on the ranks themselves.
	const apart = (i: number, j: number): number => {
		if (scale === 'interval') return (at(values, i) - at(values, j)) ** 2;
		const [low, high] = [Math.min(i, j), Math.max(i, j)];
		return (at(before, high) + at(totals, high) - at(before, low) - (at(totals, low) + at(totals, high)) / 2) ** 2;
	};
	let observed = 0;
	for (const unit of units)
		for (let a = 0; a < unit.length; a++)
			for (let b = 0; b < unit.length; b++)
				if (a !== b) observed += apart(place.get(at(unit, a)) ?? 0, place.get(at(unit, b)) ?? 0) / (unit.length - 1);
	let expected = 0;
	for (let i = 0; i < values.length; i++) for (let j = 0; j < values.length; j++) expected += at(totals, i) * at(totals, j) * apart(i, j);
	return expected === 0 ? null : 1 - ((n - 1) * observed) / expected;
}
