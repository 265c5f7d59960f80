import type { ValueRule } from '../trial/protocol';
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
 * Where candidates stand by a rule in one draw: the higher the better, and comparable within that draw only.
 * cheapestOfBest: value without cost, for only what cannot be told apart by it goes by cost; weighted: value with cost; perMoney: value without
 * cost per money; cheapest: least cost; strongest: greatest load. Behind: who has no price or load where one is needed; who misses a limit; who
 * tried and never finished a print.
 * @example standings(candidates, drawn, weighing, 'weighted')(0) // Float64Array [0.7, 0.6, 0.9]
 */
export function standings(
	candidates: readonly Candidate[],
	drawn: DrawnQuantities,
	weighing: Weighing,
	rule: ValueRule
): (draw: number, into?: Float64Array) => Float64Array {
	const priced = candidates.map(hasPrice);
	const never = candidates.map(neverFinished);
	const loaded = candidates.map(hasLoad);
	const cost = needsCost(rule) ? drawn.raw(COST) : [];
	const strength = rule === 'strongest' ? drawn.raw(STRENGTH) : [];
	const { score, worth, passes } = weighing;
	const byRule = (i: number, d: number): number => {
		const at = (of: readonly Float64Array[]) => of[i]?.[d] as number;
		switch (rule) {
			case 'weighted':
				return at(score);
			case 'perMoney':
				return priced[i] ? at(worth) / at(cost) : LACKS;
			case 'cheapest':
				return priced[i] ? -at(cost) : LACKS;
			case 'strongest':
				return loaded[i] ? at(strength) : LACKS;
			case 'cheapestOfBest':
				return at(worth);
		}
	};
	return (d, into = new Float64Array(candidates.length)) => {
		for (let i = 0; i < into.length; i++) {
			const behind = never[i] ? NEVER : passes[i]?.[d] ? 0 : MISSES;
			into[i] = behind === 0 ? byRule(i, d) : behind + (worth[i]?.[d] as number);
		}
		return into;
	};
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
