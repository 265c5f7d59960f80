import { group, sum } from 'd3-array';
import { COST } from './cost';
import type { DrawnQuantities } from './drawn-quantities';
import { familyCriterion } from './families';
import type { Candidate, Criterion, PickInput, Weighed } from './types';

/** What candidates come to in each draw; one list a candidate. */
export type Weighing = {
	/** Weighted value, 0 to 1, cost included where it is weighed. */
	score: Float64Array[];
	/** The same without cost. */
	worth: Float64Array[];
	/** What they are worth in each family, and in each quantity that is weighed by itself. */
	groups: { id: string; values: readonly Float64Array[] }[];
	/** Draws in which every limit is met. */
	passes: Uint8Array[];
};

/**
 * Weighs what was drawn: in each family a sum of values, each 0 to 1, by their part of it; of the families a sum by their importance; and the limits
 * of each draw.
 * Source: additive value (Keeney & Raiffa 1976).
 * @example weigh(drawn, input).worth[0]?.[0] // 0.64
 */
export function weigh(
	drawn: DrawnQuantities,
	{ candidates, criteria, defs }: Pick<PickInput, 'candidates' | 'criteria' | 'defs'>
): Weighing {
	const known = criteria.filter((c) => defs.some((d) => d.id === c.quantity));
	const weighed = known.filter((c) => c.weight > 0);
	const sums = (parts: readonly Valued[]) => weightedSums(candidates.length, drawn.draws, parts);
	const groups = groupsOf(weighed).map(({ id, weight, members }) => ({
		id,
		weight,
		values: sums(members.map((m) => ({ values: drawn.values(m.quantity), weight: m.weight })))
	}));
	const worth = sums(groups);
	return {
		score: withCost(worth, drawn, weighed),
		worth,
		groups,
		passes: candidates.map((candidate, i) => passesOf(candidate, i, drawn, known))
	};
}

type Group = { id: string; weight: number; members: Weighed[] };

/**
 * Criteria by family, each quantity without one by itself; cost is none of them.
 * @example groupsOf([{ quantity: 'strings', weight: 2, gate: null, family: 'looks' }])[0]?.id // 'family.looks'
 */
export function groupsOf(weighed: readonly Weighed[]): Group[] {
	const idOf = ({ quantity, family }: Weighed) => (family ? familyCriterion(family) : quantity);
	const counted = weighed.filter((c) => c.weight > 0 && c.quantity !== COST);
	return [...group(counted, idOf)].map(([id, members]) => ({ id, weight: sum(members, (m) => m.weight), members }));
}

type Valued = { values: readonly Float64Array[]; weight: number };

function weightedSums(count: number, draws: number, weighed: readonly Valued[]): Float64Array[] {
	const [only] = weighed;
	if (only && weighed.length === 1) return [...only.values];
	const total = sum(weighed, (w) => w.weight);
	const nothing = { of: new Float64Array(draws), share: 0 };
	const all = new Float64Array(count * draws);
	return Array.from({ length: count }, (_, i) => {
		const into = all.subarray(i * draws, (i + 1) * draws);
		for (let k = 0; k < weighed.length; k += AT_ONCE) {
			const [a = nothing, b = nothing, c = nothing, d = nothing] = weighed
				.slice(k, k + AT_ONCE)
				.map(({ values, weight }) => ({ of: values[i] as Float64Array, share: weight / total }));
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
		const ofCost = values[i] as Float64Array;
		const score = new Float64Array(of.length);
		for (let d = 0; d < score.length; d++) score[d] = (1 - share) * (of[d] as number) + share * (ofCost[d] as number);
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
