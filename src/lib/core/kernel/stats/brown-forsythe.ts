import { nth } from '../lists/nth';
import { sum } from 'd3-array';
import { fCdf } from './distributions';
import { mean, median } from 'simple-statistics';

export type BrownForsythe = { f: number; df1: number; df2: number; p: number };

/**
 * Test for equal spreads of several groups: analysis of variance on the distances from each group's median.
 * Source: Brown & Forsythe 1974, J. Am. Stat. Assoc. 69, 364-367.
 * @returns null below two groups of two values each, or when no distance differs within its group
 * @example brownForsythe([[1.74, 1.75, 1.76], [1.70, 1.75, 1.80]])?.p // 0.2
 */
export function brownForsythe(groups: readonly (readonly number[])[]): BrownForsythe | null {
	const usable = groups.filter((g) => g.length >= 2);
	if (usable.length < 2) return null;
	const distances = usable.map((g) => {
		const centre = median([...g]);
		return g.map((v) => Math.abs(v - centre));
	});
	const all = distances.flat();
	const grand = mean(all);
	const means = distances.map((d) => mean(d));
	const between = sum(distances, (d, i) => d.length * (nth(means, i) - grand) ** 2);
	const within = sum(distances, (d, i) => sum(d, (v) => (v - nth(means, i)) ** 2));
	const df1 = usable.length - 1;
	const df2 = all.length - usable.length;
	if (!(within > 1e-24)) return null;
	const f = between / df1 / (within / df2);
	return { f, df1, df2, p: 1 - fCdf(f, df1, df2) };
}
