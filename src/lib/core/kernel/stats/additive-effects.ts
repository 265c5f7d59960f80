import { nth } from '../lists/nth';
import { tQuantile } from './distributions';
import { group, sum } from 'd3-array';
import jStat from 'jstat';

/** One value with what it is compared within and the level whose effect is asked for. */
export type LevelValue = { within: string; level: string; value: number };

export type LevelEffect = {
	level: string;
	/** The level it is held against. */
	against: string;
	shift: number;
	standardError: number;
	df: number;
	low: number;
	high: number;
	/** Values of blocks that were seen at this level and at another. */
	n: number;
	/** Those blocks. */
	within: string[];
};

/**
 * Effects of levels (printers, scorers) beside the blocks they were seen in (spools, prints): the additive model
 * value = block + level, by least squares within the blocks, so that a block seen at one level only moves nothing.
 * Source: two-way fixed effects without interaction (Searle, Linear Models; checked with R's lm).
 * @param against the level the others are held against
 * @param expected scatter within blocks that is expected of such values, as sure as `df` further ones would make it (Smyth 2004): then one block
 * that was seen at two levels is enough
 * @returns one for each level that is tied to `against` through blocks; none where the scatter within blocks is not known
 * @example additiveEffects(values, 'North')[0] // { level: 'South', shift: -4.2, low: -7.4, high: -1.0, ... }
 */
export function additiveEffects(
	values: readonly LevelValue[],
	against: string,
	expected: { sd: number; df: number } | null = null
): LevelEffect[] {
	const tied = tiedTo(values, against);
	const known = values.filter((v) => tied.has(v.level));
	const others = [...tied].filter((level) => level !== against).sort();
	const blocks = group(known, (v) => v.within);
	const own = known.length - blocks.size - others.length;
	const df = own + (expected?.df ?? 0);
	if (others.length === 0 || df < 1) return [];
	// Taking each block's own mean out of values and of levels leaves the levels alone.
	const rows = [...blocks.values()].flatMap((of) => {
		const mean = (x: (v: LevelValue) => number) => sum(of, (v) => x(v)) / of.length;
		const middle = mean((v) => v.value);
		const shares = others.map((level) => mean((v) => Number(v.level === level)));
		return of.map((v) => ({ y: v.value - middle, x: others.map((level, k) => Number(v.level === level) - nth(shares, k)) }));
	});
	const normal = others.map((_, j) => others.map((__, k) => sum(rows, (r) => nth(r.x, j) * nth(r.x, k))));
	const inverse = jStat.inv(normal);
	const moments = others.map((_, j) => sum(rows, (r) => nth(r.x, j) * r.y));
	const shifts = inverse.map((line) => sum(line, (v, k) => v * nth(moments, k)));
	const seenRest = sum(rows, (r) => (r.y - sum(r.x, (x, k) => x * nth(shifts, k))) ** 2);
	const rest = seenRest + (expected ? expected.df * expected.sd ** 2 : 0);
	return others.map((level, k) => {
		const shift = nth(shifts, k);
		const standardError = Math.sqrt((rest / df) * ((inverse[k] as number[])[k] as number));
		const half = tQuantile(0.975, df) * standardError;
		const seen = [...blocks].filter(([, of]) => new Set(of.map((v) => v.level)).size > 1 && of.some((v) => v.level === level));
		const n = sum(seen, ([, of]) => of.length);
		return { level, against, shift, standardError, df, low: shift - half, high: shift + half, n, within: seen.map(([id]) => id) };
	});
}

/**
 * Levels that no block ties to the one the others are held against.
 * @example untied([{ within: 'a', level: 'North', value: 1 }, { within: 'b', level: 'South', value: 2 }], 'North') // ['South']
 */
export function untied(values: readonly LevelValue[], against: string): string[] {
	const tied = tiedTo(values, against);
	return [...new Set(values.map((v) => v.level))].filter((level) => !tied.has(level)).sort();
}

/** Levels that are linked to one by blocks seen at both, however many links away. */
function tiedTo(values: readonly LevelValue[], against: string): Set<string> {
	const tied = new Set([against]);
	for (let before = 0; before !== tied.size;) {
		before = tied.size;
		for (const of of group(values, (v) => v.within).values()) if (of.some((v) => tied.has(v.level))) for (const v of of) tied.add(v.level);
	}
	return tied;
}

/**
 * The level with the most values; of equals the first by name.
 * @example mostUsed([{ within: 'a', level: 'North', value: 1 }]) // 'North'
 */
export function mostUsed(values: readonly LevelValue[]): string | null {
	const byLevel = [...group(values, (v) => v.level)];
	return byLevel.sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? null;
}
