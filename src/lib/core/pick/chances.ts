import { quantileSorted } from 'simple-statistics';
import { randomSource } from '../random/source';
import { COST, merit } from './rank';
import { sampler } from './sampler';
import type { Chances, PickInput } from './types';
import { valueOf } from './value';

type Drawn = { index: number; eligible: boolean; score: number; worth: number; cost: number | null };

/**
 * The chance of each place when every finding is drawn from what it allows: gates and values anew in each draw.
 * Deterministic for a seed. A spool that fails a gate in a draw stands behind all that pass in it.
 * Source: Lahdelma & Salminen 2001 (SMAA-2), rank acceptability with fixed weights.
 * @param draws number of draws; 2000 tell a share to about +/-2 %
 * @returns for each spool the chance of place 1, 2, ..., and 95 % ranges of its value without cost and its cost
 * @example chances(input, 2000, 1).places['spool-1'][0] // chance of first place
 */
export function chances(input: PickInput, draws: number, seed: number, onProgress?: (share: number) => void): Chances {
	const source = randomSource(seed);
	const weighed = input.criteria.filter((c) => (c.weight > 0 || c.gate) && input.defs.some((d) => d.id === c.quantity));
	const costDef = input.defs.find((d) => d.id === COST);
	const samplers = input.candidates.map((candidate) => ({
		parts: weighed.map((criterion) => {
			const def = input.defs.find((d) => d.id === criterion.quantity) as (typeof input.defs)[number];
			const sampling = candidate.findings[criterion.quantity]?.sampling ?? {
				kind: 'unknown' as const,
				reason: { id: 'noReadings', params: {} }
			};
			return { criterion, def, draw: sampler(sampling, def, source) };
		}),
		cost:
			costDef && candidate.findings[COST] && candidate.findings[COST].sampling.kind !== 'unknown'
				? sampler(candidate.findings[COST].sampling, costDef, source)
				: null
	}));
	const n = input.candidates.length;
	const places = input.candidates.map(() => new Float64Array(n));
	const worths = input.candidates.map(() => new Float64Array(draws));
	const costs = input.candidates.map(() => new Float64Array(draws));
	for (let d = 0; d < draws; d++) {
		const drawn = samplers.map((s, index) => drawCandidate(s, index));
		for (const one of drawn) {
			(worths[one.index] as Float64Array)[d] = one.worth;
			(costs[one.index] as Float64Array)[d] = one.cost ?? NaN;
		}
		addPlaces(drawn, input, places);
		if (onProgress && d % 5000 === 4999) onProgress((d + 1) / draws);
	}
	const range = (values: Float64Array) => {
		const sorted = [...values].sort((a, b) => a - b);
		return { low: quantileSorted(sorted, 0.025), high: quantileSorted(sorted, 0.975) };
	};
	const byId = <T>(of: (index: number) => T) => Object.fromEntries(input.candidates.map((c, i) => [c.spoolId, of(i)]));
	return {
		draws,
		seed,
		places: byId((i) => Array.from(places[i] as Float64Array, (count) => count / draws)),
		worth: byId((i) => range(worths[i] as Float64Array)),
		cost: Object.fromEntries(
			input.candidates.flatMap((c, i) => (samplers[i]?.cost ? [[c.spoolId, range(costs[i] as Float64Array)] as const] : []))
		)
	};
}

type Samplers = {
	parts: { criterion: PickInput['criteria'][number]; def: PickInput['defs'][number]; draw: () => number }[];
	cost: (() => number) | null;
};

function drawCandidate(samplers: Samplers, index: number): Drawn {
	let eligible = true;
	let total = 0;
	let score = 0;
	let worthTotal = 0;
	let worth = 0;
	// One draw of the cost serves both its weight and the rules that divide by it.
	const cost = samplers.cost ? samplers.cost() : null;
	for (const { criterion, def, draw } of samplers.parts) {
		const x = criterion.quantity === COST && cost !== null ? cost : draw();
		if (criterion.gate && (criterion.gate.op === 'atLeast' ? x < criterion.gate.limit : x > criterion.gate.limit)) eligible = false;
		if (criterion.weight <= 0) continue;
		const value = criterion.weight * valueOf(x, def);
		total += criterion.weight;
		score += value;
		if (criterion.quantity !== COST) {
			worthTotal += criterion.weight;
			worth += value;
		}
	}
	return { index, eligible, score: total === 0 ? 0 : score / total, worth: worthTotal === 0 ? 0 : worth / worthTotal, cost };
}

/** Ties share the places they cover in equal parts. */
function addPlaces(drawn: Drawn[], input: PickInput, places: Float64Array[]): void {
	const keyed = drawn.map((d) => ({ index: d.index, key: d.eligible ? 1 : 0, merit: merit(d, input.rule) }));
	keyed.sort((a, b) => b.key - a.key || (a.merit === b.merit ? 0 : b.merit - a.merit));
	let start = 0;
	while (start < keyed.length) {
		const head = keyed[start] as (typeof keyed)[number];
		let end = start + 1;
		while (end < keyed.length && keyed[end]?.key === head.key && keyed[end]?.merit === head.merit) end++;
		for (let i = start; i < end; i++)
			for (let place = start; place < end; place++) {
				const row = places[(keyed[i] as (typeof keyed)[number]).index] as Float64Array;
				row[place] = (row[place] as number) + 1 / (end - start);
			}
		start = end;
	}
}
