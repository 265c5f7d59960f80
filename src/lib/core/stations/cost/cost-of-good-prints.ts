import { nth } from '../../kernel/lists/nth';
import { sum } from 'd3-array';
import { ASSUMED_WASTE, type WastePrior } from '../../judging/posterior/waste';
import { betaQuantile } from '../../kernel/stats/distributions';
import { wasteFactor } from './waste-factor';

/** Equally likely values of the chance of failure, and of the share wasted by one. */
const SLICES = { failure: 64, waste: 16 };

/** What a good kilogram costs: equally likely values in order, and the middle and 95 % of them. */
export type CostOfGoodPrints = { estimate: number; low: number; high: number; ordered: Float64Array };

/**
 * What a kilogram in good prints costs: the price, and what failures waste beside it. Neither the chance of a failure nor the share it wastes
 * is known for sure; both are drawn over.
 * Source: geometric number of failures before a success (`waste-factor.ts`); beta laws of both shares (Gelman et al.).
 * @param perKg price of a kilogram bought, in whole units of the currency
 * @param success prints finished and failed, the prior's counted in
 * @param reached share of each failed print that was laid down, 0 to 1
 * @param expected what is known of that share before
 * @example costOfGoodPrints(20, { finished: 40, failed: 2 }, []).estimate // 20.4
 */
export function costOfGoodPrints(
	perKg: number,
	success: { finished: number; failed: number },
	reached: readonly number[],
	expected: WastePrior = ASSUMED_WASTE
): CostOfGoodPrints {
	const wasted = sum(reached);
	const waste = slices(SLICES.waste, expected.wasted + wasted, expected.spared + reached.length - wasted);
	const ordered = new Float64Array(SLICES.failure * SLICES.waste);
	slices(SLICES.failure, success.failed, success.finished).forEach((failure, i) =>
		waste.forEach((share, j) => (ordered[i * waste.length + j] = perKg * wasteFactor(failure, share)))
	);
	ordered.sort();
	const at = (p: number) => quantileOfCost(ordered, p);
	return { estimate: at(0.5), low: at(0.025), high: at(0.975), ordered };
}

/**
 * What a good kilogram costs at most with some probability.
 * @param ordered equally likely costs in order
 * @param p probability, 0 to 1
 * @returns whole units of the currency per kilogram
 * @example quantileOfCost(Float64Array.of(20, 21, 22), 0.5) // 21
 */
export const quantileOfCost = (ordered: Float64Array, p: number): number => nth(ordered, Math.round(p * (ordered.length - 1)));

/** Middles of equally likely slices of a beta law. */
const slices = (count: number, a: number, b: number): number[] =>
	Array.from({ length: count }, (_, i) => betaQuantile((i + 0.5) / count, a, b));
