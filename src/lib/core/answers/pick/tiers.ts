/** Values closer than this cannot matter to a buyer: three of a hundred points unless set (common practice, no source). */
export const VALUE_THAT_MATTERS = 0.03;
/** A spool leaves a tier when its chance to be as good as the best falls under this, divided by the number of spools. */
const LEAST_CHANCE = 0.1;

/**
 * Spools in tiers: in the first are all that may be as good as the best, within the difference that matters; then the same among the rest.
 * The chance asked for falls with the number of spools, so that the truly best is hardly ever left out of many.
 * Source: house rule (subset selection in the manner of Gupta 1965, Technometrics 7, 225-245, with a zone of indifference).
 * @param values value without cost of each spool, 0 to 1, draw by draw; all of one length, drawn together
 * @returns the tier of each spool, from 0
 * @example tiersOf([Float64Array.of(0.9, 0.8), Float64Array.of(0.2, 0.3)]) // [0, 1]
 */
export const tiersOf = (values: readonly Float64Array[], matters = VALUE_THAT_MATTERS): number[] =>
	tiersOfBlocks(
		values.map((of) => [of]),
		matters
	);

/**
 * The same of draws that come in blocks, as a long pick keeps them.
 * @param values of each spool its blocks; the same lengths for all
 * @example tiersOfBlocks([[Float64Array.of(0.9), Float64Array.of(0.8)], [Float64Array.of(0.2), Float64Array.of(0.3)]]) // [0, 1]
 */
export function tiersOfBlocks(values: readonly (readonly Float64Array[])[], matters = VALUE_THAT_MATTERS): number[] {
	const tiers = new Array<number>(values.length).fill(0);
	let rest = values.map((_, i) => i);
	for (let tier = 0; rest.length > 0; tier++) {
		const chances = chancesToBeBest(values, rest, matters);
		const limit = LEAST_CHANCE / rest.length;
		const first = rest.filter((_, k) => (chances[k] as number) >= limit);
		for (const i of first) tiers[i] = tier;
		rest = rest.filter((i) => !first.includes(i));
	}
	return tiers;
}

/** Share of draws in which each of some spools lies within the difference that matters of the best of them. */
function chancesToBeBest(values: readonly (readonly Float64Array[])[], among: readonly number[], matters: number): number[] {
	let draws = 0;
	const counts = among.map(() => 0);
	for (const [block, { length }] of (values[0] ?? []).entries()) {
		const some = among.map((i) => values[i]?.[block] as Float64Array);
		const best = new Float64Array(length).fill(-Infinity);
		draws += length;
		for (const of of some) for (let d = 0; d < of.length; d++) if ((of[d] as number) > (best[d] as number)) best[d] = of[d] as number;
		some.forEach((of, k) => (counts[k] = (counts[k] as number) + within(of, best, matters)));
	}
	return counts.map((count) => count / draws);
}

/** How often values lie within the difference that matters of the best. A ten-millionth of a point: equal values are equal, whatever their binary dust. */
function within(of: Float64Array, best: Float64Array, matters: number): number {
	const most = matters + 1e-9;
	let count = 0;
	for (let d = 0; d < of.length; d++) if ((best[d] as number) - (of[d] as number) <= most) count++;
	return count;
}
