import { nth } from '../../kernel/lists/nth';
import type { ValueRule } from '../../judging/trial/protocol';
import { COST } from './cost';
import type { DrawnQuantities } from './drawn-quantities';
import type { Candidate } from './types';
import type { Weighing } from './weigh';

/** The quantity that the rule "strongest" goes by: the load a test part bears. */
export const STRENGTH = 'strengthLoad';

/** Behind every number that a rule can come to: those that lack what the rule goes by, that miss a limit, that never finished a print. */
const LACKS = -1e9;
const MISSES = -1e12;
const NEVER = -1e15;

/**
 * Where candidates stand by a rule, draw by draw: the higher the better, and comparable within one draw only.
 * cheapestOfBest: value without cost, for only what cannot be told apart by it goes by cost; weighted: value with cost; perMoney: value without
 * cost per money; cheapest: least cost; strongest: greatest load. Behind: who has no price or load where one is needed; who misses a limit; who
 * tried and never finished a print.
 * @returns one list a candidate; no unit but what the rule goes by
 * @example standings(candidates, drawn, weighing, 'weighted')[0]?.[0] // 0.7
 */
export function standings(
	candidates: readonly Candidate[],
	drawn: DrawnQuantities,
	{ score, worth, passes }: Weighing,
	rule: ValueRule
): Float64Array[] {
	const cost = needsCost(rule) ? drawn.raw(COST) : [];
	const strength = rule === 'strongest' ? drawn.raw(STRENGTH) : [];
	return candidates.map((candidate, i) => {
		const ofWorth = nth(worth, i);
		if (neverFinished(candidate)) return ofWorth.map((w) => NEVER + w);
		const value = byRule(candidate, rule, { score: score[i], worth: ofWorth, cost: cost[i], strength: strength[i] });
		const meets = nth(passes, i);
		// Mostly there is no limit, or all of its draws meet it.
		return meets.includes(0) ? value.map((v, d) => (meets[d] ? v : MISSES + nth(ofWorth, d))) : value;
	});
}

type Of = Record<'score' | 'worth' | 'cost' | 'strength', Float64Array | undefined>;

function byRule(candidate: Candidate, rule: ValueRule, { score, worth, cost, strength }: Of): Float64Array {
	const of = worth as Float64Array;
	switch (rule) {
		case 'weighted':
			return score as Float64Array;
		case 'cheapestOfBest':
			return of;
		case 'perMoney':
			return hasPrice(candidate) && cost ? of.map((w, d) => w / nth(cost, d)) : of.map(() => LACKS);
		case 'cheapest':
			return hasPrice(candidate) && cost ? cost.map((c) => -c) : of.map(() => LACKS);
		case 'strongest':
			return hasLoad(candidate) && strength ? strength : of.map(() => LACKS);
	}
}

const needsCost = (rule: ValueRule): boolean => rule === 'perMoney' || rule === 'cheapest';

/**
 * Whether a candidate has a price to be weighed by.
 * @example hasPrice({ spoolId: 's', code: 'KA1', findings: {} }) // false
 */
export function hasPrice({ findings }: Candidate): boolean {
	const kind = findings[COST]?.sampling.kind ?? 'unknown';
	return kind !== 'unknown' && kind !== 'never';
}

/**
 * Whether a candidate was tried and never finished a print.
 * @example neverFinished({ spoolId: 's', code: 'KA1', findings: {} }) // false
 */
export const neverFinished = ({ findings }: Candidate): boolean => findings[COST]?.sampling.kind === 'never';

/**
 * Whether a test part of a candidate was loaded.
 * @example hasLoad({ spoolId: 's', code: 'KA1', findings: {} }) // false
 */
export const hasLoad = ({ findings }: Candidate): boolean => (findings[STRENGTH]?.n ?? 0) > 0;
