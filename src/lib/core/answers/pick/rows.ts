import { nth } from '../../kernel/lists/nth';
import { sum } from 'd3-array';
import type { ValueRule } from '../../judging/trial/protocol';
import { COST } from './cost';
import { judgeGate } from './gates';
import { neverFinished } from './order';
import type { Tally } from './tally';
import { groupsOf } from './weigh';
import type { Candidate, Criterion, FamilyValue, PickInput, PickPart, PickRow } from './types';

/**
 * What is told of a candidate, from its draws; not yet in its place or tier.
 * @example rowOf(candidate, input, tally).worth // 0.64
 */
export function rowOf(candidate: Candidate, { criteria, defs }: PickInput, tally: Tally): PickRow {
	const known = criteria.filter((c) => defs.some((d) => d.id === c.quantity));
	const parts = known.filter((c) => c.weight > 0).map((c) => partOf(c, candidate, tally));
	const gates = known.flatMap((c) => (c.gate ? [judgeGate(candidate.findings[c.quantity], c.quantity, c.gate)] : []));
	const total = sum(parts, (p) => p.weight);
	const families = groupsOf(known).map(({ id, weight, members }) =>
		familyOf(
			id,
			weight,
			tally,
			parts.filter((p) => members.some((m) => m.quantity === p.quantity))
		)
	);
	return {
		spoolId: candidate.spoolId,
		code: candidate.code,
		eligible: !gates.some((g) => g.state === 'fail'),
		neverFinished: neverFinished(candidate),
		gates,
		score: tally.mean('score') ?? 0,
		worth: tally.mean('worth') ?? 0,
		cost: candidate.findings[COST]?.estimate ?? null,
		strength: tally.mean('strength'),
		parts,
		families: families.sort((a, b) => b.weight - a.weight),
		knownShare: total === 0 ? 0 : sum(parts, (p) => (p.known ? p.weight : 0)) / total,
		place: 0,
		tier: null
	};
}

function familyOf(id: string, weight: number, tally: Tally, parts: readonly PickPart[]): FamilyValue {
	// A mean of sums is a sum of means.
	const value = sum(parts, (p) => p.weight * p.value) / weight;
	const { low, high } = tally.rangeOfValues(id) ?? { low: value, high: value };
	return { id, weight, value, low, high, known: parts.some((p) => p.known) };
}

function partOf({ quantity, weight }: Criterion, candidate: Candidate, tally: Tally): PickPart {
	const finding = candidate.findings[quantity];
	return { quantity, weight, value: tally.mean(quantity) ?? 0, known: (finding?.n ?? 0) > 0 || (finding?.estimate ?? null) !== null };
}

/** Behind all others: who tried and never finished a print; before them who misses a limit. */
const classOf = (row: PickRow): number => (row.neverFinished ? 2 : row.eligible ? 0 : 1);

/** What a rule goes by, the smaller the better, one key after the other. */
function keysOf(row: PickRow, rule: ValueRule): number[] {
	const cost = row.cost ?? Infinity;
	switch (rule) {
		case 'cheapestOfBest':
			return [row.tier ?? Infinity, cost, -row.worth];
		case 'weighted':
			return [-row.score];
		case 'perMoney':
			return [row.cost === null ? Infinity : -row.worth / row.cost];
		case 'cheapest':
			return [cost];
		case 'strongest':
			return [row.strength === null ? Infinity : -row.strength];
	}
}

/** A ten-millionth of a point or of a currency: what is nearer is equal. */
const DUST = 1e-9;

function compareKeys(a: readonly number[], b: readonly number[]): number {
	for (const [i, x] of a.entries()) {
		const y = nth(b, i);
		// Infinity minus Infinity is NaN, which would scramble a sort.
		if (x !== y && Math.abs(x - y) > DUST) return x - y;
	}
	return 0;
}

/**
 * Rows in their order by a rule, with their places: equals share one.
 * @example orderRows(rows, 'cheapest')[0]?.place // 1
 */
export function orderRows(rows: readonly PickRow[], rule: ValueRule): PickRow[] {
	const keyed = rows.map((row) => ({ row, keys: [classOf(row), ...keysOf(row, rule)] }));
	keyed.sort((a, b) => compareKeys(a.keys, b.keys) || (a.row.code < b.row.code ? -1 : 1));
	keyed.forEach(({ row, keys }, i) => {
		const before = keyed[i - 1];
		row.place = before && compareKeys(before.keys, keys) === 0 ? before.row.place : i + 1;
	});
	return keyed.map(({ row }) => row);
}
