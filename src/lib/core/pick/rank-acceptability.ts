import { say } from '../finding/message';
import { randomSource } from '../random/source';
import { drawFrom, quantileTable } from './quantile-table';
import { COST, rankValue } from './rank';
import type { Chances, Criterion, PickInput } from './types';
import { valueOf } from './value';
import type { QuantityDef } from '../finding/types';

type Weighed = { criterion: Criterion; def: QuantityDef };

/** What one draw made of a candidate; reused from draw to draw. */
type Drawn = { index: number; eligible: boolean; score: number; worth: number; cost: number | null; rankValue: number };

/**
 * The chance of each place when every finding is drawn from what it allows: gates and values anew in each draw.
 * Deterministic for a seed. A spool that fails a gate in a draw stands behind all that pass in it.
 * Source: Lahdelma & Salminen 2001 (SMAA-2), rank acceptability with fixed weights.
 * @param draws number of draws; 2000 tell a share to about +/-2 %
 * @param onProgress called now and then with the share done
 * @returns for each spool the chance of place 1, 2, ..., and 95 % ranges of its value without cost and its cost
 * @example rankAcceptability(input, 2000, 1).places['spool-1'][0] // chance of first place
 */
export function rankAcceptability(input: PickInput, draws: number, seed: number, onProgress?: (share: number) => void): Chances {
	const source = randomSource(seed);
	const weighed = input.criteria.flatMap((criterion): Weighed[] => {
		const def = input.defs.find((d) => d.id === criterion.quantity);
		return def && (criterion.weight > 0 || criterion.gate) ? [{ criterion, def }] : [];
	});
	const tables = input.candidates.map((candidate) => tablesOf(candidate.findings, weighed, input.defs));
	const n = input.candidates.length;
	const places = input.candidates.map(() => new Float64Array(n));
	const worths = input.candidates.map(() => new Float64Array(draws));
	const costs = input.candidates.map(() => new Float64Array(draws));
	const drawn = input.candidates.map((_, index): Drawn => ({ index, eligible: true, score: 0, worth: 0, cost: null, rankValue: 0 }));
	const order = [...drawn];
	for (let d = 0; d < draws; d++) {
		for (const one of drawn) {
			drawCandidate(one, tables[one.index] as Tables, weighed, source);
			one.rankValue = rankValue(one, input.rule);
			(worths[one.index] as Float64Array)[d] = one.worth;
			(costs[one.index] as Float64Array)[d] = one.cost ?? NaN;
		}
		order.sort(betterFirst);
		addPlaces(order, places);
		if (onProgress && d % 5000 === 4999) onProgress((d + 1) / draws);
	}
	const byId = <T>(of: (index: number) => T) => Object.fromEntries(input.candidates.map((c, i) => [c.spoolId, of(i)]));
	return {
		draws,
		seed,
		places: byId((i) => Array.from(places[i] as Float64Array, (count) => count / draws)),
		worth: byId((i) => range(worths[i] as Float64Array)),
		cost: Object.fromEntries(
			input.candidates.flatMap((c, i) => (tables[i]?.cost ? [[c.spoolId, range(costs[i] as Float64Array)] as const] : []))
		)
	};
}

type Tables = { parts: Float64Array[]; cost: Float64Array | null };

const UNKNOWN = { kind: 'unknown' as const, reason: say('noReadings') };

function tablesOf(
	findings: PickInput['candidates'][number]['findings'],
	weighed: readonly Weighed[],
	defs: readonly QuantityDef[]
): Tables {
	const costDef = defs.find((d) => d.id === COST);
	const cost = findings[COST]?.sampling;
	return {
		parts: weighed.map(({ criterion, def }) => quantileTable(findings[criterion.quantity]?.sampling ?? UNKNOWN, def)),
		cost: costDef && cost && cost.kind !== 'unknown' ? quantileTable(cost, costDef) : null
	};
}

/** The middle 95 % of the draws; sorts its own array, which is not needed in order any more. */
function range(values: Float64Array): { low: number; high: number } {
	values.sort();
	const pick = (p: number) => values[Math.min(values.length - 1, Math.floor(p * values.length))] as number;
	return { low: pick(0.025), high: pick(0.975) };
}

function drawCandidate(into: Drawn, tables: Tables, weighed: readonly Weighed[], source: () => number): void {
	let eligible = true;
	let total = 0;
	let score = 0;
	let worthTotal = 0;
	let worth = 0;
	// One draw of the cost serves both its weight and the rules that divide by it.
	const cost = tables.cost ? drawFrom(tables.cost, source()) : null;
	for (let k = 0; k < weighed.length; k++) {
		const { criterion, def } = weighed[k] as Weighed;
		const isCost = criterion.quantity === COST;
		const x = isCost && cost !== null ? cost : drawFrom(tables.parts[k] as Float64Array, source());
		const { gate, weight } = criterion;
		if (gate && (gate.op === 'atLeast' ? x < gate.limit : x > gate.limit)) eligible = false;
		if (weight <= 0) continue;
		const value = weight * valueOf(x, def);
		total += weight;
		score += value;
		if (isCost) continue;
		worthTotal += weight;
		worth += value;
	}
	into.eligible = eligible;
	into.score = total === 0 ? 0 : score / total;
	into.worth = worthTotal === 0 ? 0 : worth / worthTotal;
	into.cost = cost;
}

function betterFirst(a: Drawn, b: Drawn): number {
	if (a.eligible !== b.eligible) return a.eligible ? -1 : 1;
	// Infinity minus Infinity is NaN, which would scramble a sort.
	return a.rankValue === b.rankValue ? 0 : b.rankValue - a.rankValue;
}

/** Ties share the places they cover in equal parts. */
function addPlaces(order: readonly Drawn[], places: readonly Float64Array[]): void {
	let start = 0;
	while (start < order.length) {
		const head = order[start] as Drawn;
		let end = start + 1;
		while (end < order.length && order[end]?.eligible === head.eligible && order[end]?.rankValue === head.rankValue) end++;
		const share = 1 / (end - start);
		for (let i = start; i < end; i++) {
			const row = places[(order[i] as Drawn).index] as Float64Array;
			for (let place = start; place < end; place++) row[place] = (row[place] as number) + share;
		}
		start = end;
	}
}
