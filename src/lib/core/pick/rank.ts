import { sum } from 'd3-array';
import type { ValueRule } from '../trial/protocol';
import { moments } from '../compare/moments';
import type { QuantityDef } from '../finding/types';
import { judgeGate } from './gates';
import type { Candidate, Criterion, PickInput, PickPart, PickRow } from './types';
import { priorValue, valueOf } from './value';

export const COST = 'costPerGoodKg';

type Ranked = { eligible: boolean; score: number; worth: number; cost: number | null };

/**
 * How good a spool is under a value rule; higher is better.
 * weighted: the weighted value; perMoney: value without cost per unit of money; cheapest: the least cost among those that pass.
 * @returns value 0 to 1, value per unit of money, or money less than nought, by the rule; they are compared among themselves only
 * @example rankValue({ eligible: true, score: 0.7, worth: 0.8, cost: 20 }, 'perMoney') // 0.04
 */
export function rankValue(row: Ranked, rule: ValueRule): number {
	if (rule === 'weighted') return row.score;
	if (row.cost === null || row.cost <= 0) return -Infinity;
	return rule === 'perMoney' ? row.worth / row.cost : -row.cost;
}

/**
 * Ranks the candidates on their estimates: gates first, then the value rule. equal rank value shares a place.
 * @example rank({ candidates, criteria, defs, rule: 'weighted' })[0].code // the first place
 */
export function rank(input: PickInput): PickRow[] {
	const rows = input.candidates.map((candidate) => scoreCandidate(candidate, input));
	const rankValues = new Map(rows.map((row) => [row.spoolId, rankValue(row, input.rule)]));
	const of = (row: PickRow) => rankValues.get(row.spoolId) as number;
	rows.sort((a, b) => Number(b.eligible) - Number(a.eligible) || compareNumbers(of(b), of(a)) || (a.code < b.code ? -1 : 1));
	rows.forEach((row, i) => {
		const before = rows[i - 1];
		const same = before !== undefined && before.eligible === row.eligible && Math.abs(of(before) - of(row)) < 1e-12;
		row.place = same ? before.place : i + 1;
	});
	return rows;
}

/** Infinity minus Infinity is NaN, which would scramble a sort. */
function compareNumbers(a: number, b: number): number {
	return a === b ? 0 : a - b;
}

function scoreCandidate(candidate: Candidate, input: PickInput): PickRow {
	const parts = input.criteria.filter((c) => c.weight > 0).flatMap((c) => partOf(c, candidate, input.defs));
	const gates = input.criteria.flatMap((c) => (c.gate ? [judgeGate(candidate.findings[c.quantity], c.quantity, c.gate)] : []));
	const total = sum(parts, (p) => p.weight);
	return {
		spoolId: candidate.spoolId,
		code: candidate.code,
		eligible: !gates.some((g) => g.state === 'fail'),
		gates,
		score: weightedValue(parts),
		worth: weightedValue(parts.filter((p) => p.quantity !== COST)),
		cost: candidate.findings[COST]?.estimate ?? candidate.findings.pricePerKg?.estimate ?? null,
		parts,
		knownShare: total === 0 ? 0 : sum(parts, (p) => (p.known ? p.weight : 0)) / total,
		place: 0
	};
}

function partOf(criterion: Criterion, candidate: Candidate, defs: readonly QuantityDef[]): PickPart[] {
	const def = defs.find((d) => d.id === criterion.quantity);
	if (!def) return [];
	const finding = candidate.findings[criterion.quantity];
	const estimate = finding?.estimate ?? null;
	// No estimate, but bounds or a distribution ("held at least 90 N"): its middle says more than the prior.
	const middle = estimate ?? (finding ? (moments(finding.sampling)?.mean ?? null) : null);
	return [
		{
			quantity: criterion.quantity,
			weight: criterion.weight,
			value: middle === null ? priorValue(def) : valueOf(middle, def),
			known: estimate !== null || (middle !== null && (finding?.n ?? 0) > 0)
		}
	];
}

/**
 * Weighted mean of values; 0 when nothing is weighed.
 * @example weightedValue([{ weight: 1, value: 0.5 }, { weight: 3, value: 1 }]) // 0.875
 */
function weightedValue(parts: readonly { weight: number; value: number }[]): number {
	const total = sum(parts, (p) => p.weight);
	return total === 0 ? 0 : sum(parts, (p) => p.weight * p.value) / total;
}
