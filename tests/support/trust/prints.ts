import { randomBeta, randomUniform } from 'd3-random';
import { costOfGoodPrints } from '../../../src/lib/core/stations/cost/cost-of-good-prints';
import { wasteFactor } from '../../../src/lib/core/stations/cost/waste-factor';
import { ASSUMED_SUCCESS, learnSuccess, successOf, type SuccessPrior } from '../../../src/lib/core/judging/posterior/success';
import { ASSUMED_WASTE, learnWaste, type WastePrior } from '../../../src/lib/core/judging/posterior/waste';
import { randomSource } from '../../../src/lib/core/kernel/random/source';

/** True shares that finish, from spool to spool: nine in ten, as prints of eight would make one think. */
const TRUE_SHARES = { finished: 7.2, failed: 0.8 };
/** Share of a print that a failure wastes on average, from spool to spool; single failures lie about it as a beta law of six would have them. */
const TRUE_WASTE = { a: 2, b: 2.5 };
const FAILURES_ALIKE = 6;
const RECORD = 60;
const PRICE = 20;

export type PrintFigures = { trials: number; success: number; cost: number; successWidth: number; costWidth: number };

/** How often the ranges of success and of the cost of good prints hold the truth, of spools that were printed n times. */
export function printFigures(n: number, record: 'full' | 'silent', trials: number, seed: number, eachRecord: number): PrintFigures {
	const source = randomSource(seed);
	const uniform = randomUniform.source(source)(0, 1);
	const share = randomBeta.source(source)(TRUE_SHARES.finished, TRUE_SHARES.failed);
	const waste = randomBeta.source(source)(TRUE_WASTE.a, TRUE_WASTE.b);
	const wastedBy = (failures: number, onAverage: number) => {
		const share = randomBeta.source(source)(FAILURES_ALIKE * onAverage, FAILURES_ALIKE * (1 - onAverage));
		return Array.from({ length: failures }, () => share());
	};
	const printed = (p: number, times: number) => {
		const finished = Array.from({ length: times }, () => uniform() < p).filter(Boolean).length;
		return { finished, failed: times - finished };
	};
	const learnt = (): { success: SuccessPrior; waste: WastePrior } => {
		if (record === 'silent') return { success: ASSUMED_SUCCESS, waste: ASSUMED_WASTE };
		const spools = Array.from({ length: RECORD }, () => printed(share(), 3));
		return { success: learnSuccess(spools), waste: learnWaste(spools.map((s) => wastedBy(s.failed, waste()))) };
	};
	let prior = learnt();
	const figures: PrintFigures = { trials: 0, success: 0, cost: 0, successWidth: 0, costWidth: 0 };
	for (let t = 0; t < trials; t++) {
		if (t > 0 && t % eachRecord === 0) prior = learnt();
		const truth = Math.min(share(), 0.999);
		const seen = printed(truth, n);
		// Who never finished a print has no cost; of those nothing is told.
		if (seen.finished === 0) continue;
		const trueWaste = waste();
		const found = successOf(seen.finished, seen.failed, prior.success);
		const cost = costOfGoodPrints(PRICE, found, wastedBy(seen.failed, trueWaste), prior.waste);
		const trueCost = PRICE * wasteFactor(1 - truth, trueWaste);
		figures.trials++;
		if (truth >= found.low && truth <= found.high) figures.success++;
		if (trueCost >= cost.low && trueCost <= cost.high) figures.cost++;
		figures.successWidth += found.high - found.low;
		figures.costWidth += cost.high - cost.low;
	}
	return figures;
}
