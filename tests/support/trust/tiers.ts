import { randomUniform } from 'd3-random';
import { tiersOf } from '../../../src/lib/core/answers/pick/tiers';
import type { CellPrior } from '../../../src/lib/core/judging/posterior/prior';
import type { Summary } from '../../../src/lib/core/judging/posterior/summarise';
import { randomSource } from '../../../src/lib/core/kernel/random/source';
import type { Kind } from './kinds';
import { Simulation } from './simulate';

export type TierFigures = {
	trials: number;
	/** Trials in which the truly best spool was in the first tier. */
	bestInFirst: number;
	/** Trials in which all spools were one tier. */
	oneTier: number;
	/** Spools in the first tier, on average. */
	meanSize: number;
	/** Spools that were given a chance of 70 to 80 % to be the best, and how many of them were. */
	told: { count: number; came: number };
	/** The same for each tenth of a chance, from 0 to 10 % on. */
	tenths: { count: number; came: number }[];
};

const DRAWS = 1000;
/** Trials that one record serves: a record may mislead, and figures are of many records. */
export const EACH_RECORD = 25;

/**
 * Trials of spools that are weighed by several kinds of mark alike, each printed so many times: who comes into the first tier.
 * @param spread between spools, in standard errors of a mean of n; 0 for spools that are all alike
 */
export function tierFigures(
	kinds: readonly Kind[],
	given: { spools: number; n: number; spread: number; trials: number; seed: number }
): TierFigures {
	const { spools, n, spread, trials, seed } = given;
	const simulations = kinds.map((kind, i) => ({
		kind,
		simulation: new Simulation(kind, seed + i),
		between: (spread * kind.sd) / Math.sqrt(n)
	}));
	// A record of spools that are all alike would be a record of none: theirs differ by a standard error.
	const learnt = () => simulations.map((one) => ({ ...one, prior: one.simulation.learnt(one.between || one.kind.sd / Math.sqrt(n)) }));
	let benches = learnt();
	const uniform = randomUniform.source(randomSource(seed))(0, 1);
	const figures: TierFigures = {
		trials,
		bestInFirst: 0,
		oneTier: 0,
		meanSize: 0,
		told: { count: 0, came: 0 },
		tenths: Array.from({ length: 10 }, () => ({ count: 0, came: 0 }))
	};
	for (let t = 0; t < trials; t++) {
		if (t > 0 && t % EACH_RECORD === 0) benches = learnt();
		const candidates = Array.from({ length: spools }, () => candidate(benches, n, uniform));
		const tiers = tiersOf(candidates.map((c) => c.draws));
		const best = Math.max(...candidates.map((c) => c.truth));
		const first = candidates.filter((_, i) => tiers[i] === 0);
		if (first.some((c) => c.truth === best)) figures.bestInFirst++;
		if (first.length === spools) figures.oneTier++;
		figures.meanSize += first.length / trials;
		chancesOfBest(candidates).forEach((chance, i) => {
			const isBest = Number(candidates[i]?.truth === best);
			const tenth = figures.tenths[Math.min(9, Math.floor(chance * 10))];
			if (tenth) {
				tenth.count++;
				tenth.came += isBest;
			}
			if (chance < 0.7 || chance > 0.8) return;
			figures.told.count++;
			figures.told.came += isBest;
		});
	}
	return figures;
}

/** Share of draws in which each is the best. */
function chancesOfBest(candidates: readonly { draws: Float64Array }[]): number[] {
	const counts = candidates.map(() => 0);
	for (let d = 0; d < DRAWS; d++) {
		let best = 0;
		candidates.forEach((c, i) => {
			if ((c.draws[d] as number) > (candidates[best]?.draws[d] as number)) best = i;
		});
		counts[best] = (counts[best] as number) + 1;
	}
	return counts.map((count) => count / DRAWS);
}

type Bench = { kind: Kind; simulation: Simulation; between: number; prior: CellPrior };

/** One spool: its true value, and the draws of it that its prints allow. */
function candidate(benches: readonly Bench[], n: number, uniform: () => number): { truth: number; draws: Float64Array } {
	const draws = new Float64Array(DRAWS);
	let truth = 0;
	for (const { kind, simulation, between, prior } of benches) {
		const spool = simulation.spool(between);
		truth += kind.value(simulation.truth(spool)) / benches.length;
		const summary = simulation.summary(simulation.notes(spool, n), prior);
		for (let d = 0; d < DRAWS; d++) draws[d] = (draws[d] as number) + kind.value(drawn(summary, uniform())) / benches.length;
	}
	return { truth, draws };
}

/** A value of the distribution, straight between the places where it is noted. */
function drawn({ probabilities, values }: Summary, u: number): number {
	const above = probabilities.findIndex((p) => p >= u);
	if (above <= 0) return values[above < 0 ? values.length - 1 : 0] as number;
	const [p0, p1] = [probabilities[above - 1] as number, probabilities[above] as number];
	const share = (u - p0) / (p1 - p0);
	return (values[above - 1] as number) * (1 - share) + (values[above] as number) * share;
}
