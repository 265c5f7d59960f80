import { sum } from 'd3-array';
import { COST } from './cost';
import { addScaled, type DrawnQuantities } from './drawn-quantities';
import type { Candidate, Criterion, PickInput } from './types';

/** What candidates come to in each draw. */
export type Weighing = {
	/** Weighted value, 0 to 1, cost included where it is weighed. */
	score: Float64Array[];
	/** The same without cost. */
	worth: Float64Array[];
	/** Draws in which every limit is met. */
	passes: Uint8Array[];
};

/**
 * Weighs what was drawn: a sum of values, each 0 to 1, by their importance; and the limits of each draw.
 * Source: additive value (Keeney & Raiffa 1976).
 * @example weigh(drawn, input).worth[0]?.[0] // 0.64
 */
export function weigh(
	drawn: DrawnQuantities,
	{ candidates, criteria, defs }: Pick<PickInput, 'candidates' | 'criteria' | 'defs'>
): Weighing {
	const known = criteria.filter((c) => defs.some((d) => d.id === c.quantity));
	const weighed = known.filter((c) => c.weight > 0);
	const passes = candidates.map((candidate, i) => passesOf(candidate, i, drawn, known));
	return {
		score: weightedSums(candidates.length, drawn, weighed),
		worth: weightedSums(
			candidates.length,
			drawn,
			weighed.filter((c) => c.quantity !== COST)
		),
		passes
	};
}

function weightedSums(count: number, drawn: DrawnQuantities, weighed: readonly Criterion[]): Float64Array[] {
	const sums = Array.from({ length: count }, () => new Float64Array(drawn.draws));
	const total = sum(weighed, (c) => c.weight);
	for (const { quantity, weight } of weighed)
		drawn.values(quantity).forEach((values, i) => addScaled(sums[i] as Float64Array, values, weight / total));
	return sums;
}

/** Nine decimals: a limit of 0.9 must be met by 0.9 computed. */
const DUST = 1e-9;

function passesOf(candidate: Candidate, i: number, drawn: DrawnQuantities, criteria: readonly Criterion[]): Uint8Array {
	const passes = new Uint8Array(drawn.draws).fill(1);
	for (const { quantity, gate } of criteria) {
		// A figure of the handbook alone decides no limit.
		if (!gate || candidate.findings[quantity]?.method === 'handbook') continue;
		const raw = drawn.raw(quantity)[i] as Float64Array;
		const sign = gate.op === 'atLeast' ? 1 : -1;
		for (let d = 0; d < passes.length; d++) if (sign * ((raw[d] as number) - gate.limit) < -DUST) passes[d] = 0;
	}
	return passes;
}
