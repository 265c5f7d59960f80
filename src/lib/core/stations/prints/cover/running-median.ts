import { nth } from '../../../kernel/lists/nth';

/** Finer than the grey levels of a picture, so that averages of several points keep their fractions. */
const FINENESS = 4;
const BINS = 4096;
/** Levels along a colour line may be negative, and the line is longer than that of one colour. */
const OFFSET = 512;

/**
 * Median of a window that runs along values, both ends held: what lies under thin strands. Values are levels from -512 to 511.
 * Source: sliding histogram (Huang, Yang & Tang 1979, IEEE Trans. ASSP 27, 13-18).
 * @param reach values on each side of the middle
 * @example runningMedian(Float32Array.of(1, 1, 9, 1, 1), 1) // [1, 1, 1, 1, 1]
 */
export function runningMedian(values: Float32Array, reach: number): Float32Array {
	const n = values.length;
	const bins = new Uint16Array(BINS);
	const binOf = (i: number) => {
		const bin = Math.round((nth(values, Math.max(0, Math.min(n - 1, i))) + OFFSET) * FINENESS);
		return Math.max(0, Math.min(BINS - 1, bin));
	};
	const half = reach + 1;
	for (let i = -reach; i <= reach; i++) bins[binOf(i)] = nth(bins, binOf(i)) + 1;
	// The median is the least bin at which half the window lies at or below it; `below` is how many lie strictly below.
	let at = 0;
	let below = 0;
	const found = new Float32Array(n);
	for (let i = 0; i < n; i++) {
		while (below + nth(bins, at) < half) below += nth(bins, at++);
		while (below >= half) below -= nth(bins, --at);
		found[i] = at / FINENESS - OFFSET;
		const [out, into] = [binOf(i - reach), binOf(i + reach + 1)];
		bins[out] = nth(bins, out) - 1;
		bins[into] = nth(bins, into) + 1;
		below += Number(into < at) - Number(out < at);
	}
	return found;
}
