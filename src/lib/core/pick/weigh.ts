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
	const worth = weightedSums(
		candidates.length,
		drawn,
		weighed.filter((c) => c.quantity !== COST)
	);
	return {
		score: withCost(worth, drawn, weighed),
		worth,
		passes: candidates.map((candidate, i) => passesOf(candidate, i, drawn, known))
	};
}

function weightedSums(count: number, drawn: DrawnQuantities, weighed: readonly Criterion[]): Float64Array[] {
	const total = sum(weighed, (c) => c.weight);
	const parts = weighed.map(({ quantity, weight }) => ({ values: drawn.values(quantity), share: weight / total }));
	const nothing = { of: new Float64Array(drawn.draws), share: 0 };
	return Array.from({ length: count }, (_, i) => {
		const into = new Float64Array(drawn.draws);
		for (let k = 0; k < parts.length; k += AT_ONCE) {
			const [a = nothing, b = nothing, c = nothing, d = nothing] = parts
				.slice(k, k + AT_ONCE)
				.map(({ values, share }) => ({ of: values[i] as Float64Array, share }));
			addFour(into, a, b, c, d);
		}
		return into;
	});
}

/** Four at a time halves the time of a long draw: the sum is fetched and put back less often. */
const AT_ONCE = 4;
type Part = { of: Float64Array; share: number };

function addFour(into: Float64Array, a: Part, b: Part, c: Part, d: Part): void {
	const [ofA, ofB, ofC, ofD] = [a.of, b.of, c.of, d.of];
	const [byA, byB, byC, byD] = [a.share, b.share, c.share, d.share];
	for (let k = 0; k < into.length; k++)
		into[k] =
			(into[k] as number) + byA * (ofA[k] as number) + byB * (ofB[k] as number) + byC * (ofC[k] as number) + byD * (ofD[k] as number);
}

function withCost(worth: Float64Array[], drawn: DrawnQuantities, weighed: readonly Criterion[]): Float64Array[] {
	const cost = weighed.find((c) => c.quantity === COST);
	if (!cost) return worth;
	const share = cost.weight / sum(weighed, (c) => c.weight);
	const values = drawn.values(COST);
	return worth.map((of, i) => {
		const score = of.map((w) => (1 - share) * w);
		addScaled(score, values[i] as Float64Array, share);
		return score;
	});
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
