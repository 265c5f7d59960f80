import { max } from 'd3-array';
import { fastNormalCdf } from '../../kernel/stats/normal-table';
import { logMeanDensity, logScatterDensity, type CellPrior } from './prior';
import type { Observed } from './scale';
import { weightsOf } from './weights';

/** What a cell is likely to be: weights over a grid of its mean and its scatter, on the model's scale. They sum to 1. */
export type Posterior = { means: Float64Array; sds: Float64Array; weights: Float64Array; n: number };

const MEANS = 161;
/** Twice as many change no range by more than a thousandth of its width. */
const SDS = 13;
/** Looks at few points close in on where the mean can be; the grid then lies there. */
const COARSE = 33;
const MOST_LOOKS = 6;
/** What is less likely than the likeliest by this factor is left off the grid. */
const NEGLIGIBLE = 1e-5;
/** How far from the usual one scatters are looked at: in steps of a sixth, at most fourteen times as large or small. */
const SCATTER_STEP = 7 / 6;
const SCATTER_STEPS = Array.from({ length: 17 }, (_, i) => i);
/** Spreads of the prior of the mean that a grid covers at first. */
const PRIOR_REACH = 12;

/**
 * What observations say of the mean of a cell, with what is known of such cells: normal scatter, each observation an interval, mean and
 * scatter both unknown. Deterministic: a grid of 161 means by 13 scatters, laid where the mass is.
 * Source: interval-censored normal likelihood (Meeker & Escobar 1998, ch. 7) times the priors of `prior.ts`, by direct summation.
 * @param observed on the model's scale; none gives the prior itself
 * @example posteriorOf([{ low: 64, high: 66 }], { scatter: { sd: 3, df: 4 }, mean: { centre: 60, spread: 10 } }).n // 1
 */
export function posteriorOf(observed: readonly Observed[], prior: CellPrior): Posterior {
	const sds = scatterGrid(observed, prior);
	const means = evenly(closingIn(observed, prior, sds), MEANS);
	return { means, sds, weights: scaled(weighed(observed, prior, means, sds)), n: observed.length };
}

/** Weights but for a constant, mean by mean, all scatters of one mean together. */
function weighed(observed: readonly Observed[], prior: CellPrior, means: Float64Array, sds: Float64Array): Float64Array {
	const out = likelihoodOver(observed, means, sds);
	const ofScatter = weightsOf(sds.map((sd) => logScatterDensity(prior.scatter, sd)));
	const ofMean = weightsOf(means.map((m) => logMeanDensity(prior.mean, m)));
	for (let i = 0, at = 0; i < means.length; i++)
		for (let j = 0; j < sds.length; j++, at++) out[at] = (out[at] as number) * (ofMean[i] as number) * (ofScatter[j] as number);
	return out;
}

/** Brings the sum of weights to 1. */
function scaled(weights: Float64Array): Float64Array {
	let total = 0;
	for (let i = 0; i < weights.length; i++) total += weights[i] as number;
	for (let i = 0; i < weights.length; i++) weights[i] = (weights[i] as number) / total;
	return weights;
}

/** A chance is never quite nought, so that an odd value stays possible; so many of them multiplied still are numbers. */
const LEAST_CHANCE = 1e-15;
const MULTIPLIED = 16;

/**
 * How likely each mean and scatter of a grid makes what was observed; all scatters of one mean together. The likeliest stands at 1.
 * Chances are multiplied, not their logarithms added: that takes a third of the time.
 * @returns no unit
 * @example likelihoodOver([{ low: null, high: 0 }], Float64Array.of(0, -9), Float64Array.of(1))[0] // 0.5
 */
export function likelihoodOver(observed: readonly Observed[], means: Float64Array, sds: Float64Array): Float64Array {
	const out = new Float64Array(means.length * sds.length).fill(1);
	for (let from = 0; from < observed.length; from += MULTIPLIED) multiply(out, observed.slice(from, from + MULTIPLIED), means, sds);
	return out;
}

/** Multiplies what some more observations say into the likelihoods, and brings the likeliest back to 1. */
function multiply(out: Float64Array, observed: readonly Observed[], means: Float64Array, sds: Float64Array): void {
	// Steps share their edges, so each is asked for once.
	const below = new Map<number, Float64Array>();
	const chancesBelow = (edge: number) => {
		const known = below.get(edge) ?? chanceBelow(edge, means, sds);
		below.set(edge, known);
		return known;
	};
	for (const { low, high } of observed) {
		const [upTo, from] = [high === null ? null : chancesBelow(high), low === null ? null : chancesBelow(low)];
		for (let at = 0; at < out.length; at++) {
			const chance = (upTo === null ? 1 : (upTo[at] as number)) - (from === null ? 0 : (from[at] as number));
			out[at] = (out[at] as number) * (chance > LEAST_CHANCE ? chance : LEAST_CHANCE);
		}
	}
	let most = 0;
	for (let at = 0; at < out.length; at++) if ((out[at] as number) > most) most = out[at] as number;
	for (let at = 0; at < out.length; at++) out[at] = (out[at] as number) / most;
}

/** Chance of a value below an edge, for every mean and scatter. */
function chanceBelow(edge: number, means: Float64Array, sds: Float64Array): Float64Array {
	const out = new Float64Array(means.length * sds.length);
	const perSd = sds.map((sd) => 1 / sd);
	for (let i = 0, at = 0; i < means.length; i++) {
		const away = edge - (means[i] as number);
		for (let j = 0; j < perSd.length; j++, at++) out[at] = fastNormalCdf(away * (perSd[j] as number));
	}
	return out;
}

/** Scatters evenly spaced in their logarithm, as far as the prior and the values themselves reach. */
function scatterGrid(observed: readonly Observed[], { scatter }: CellPrior): Float64Array {
	const middles = observed.flatMap((o) => (o.low !== null && o.high !== null ? [(o.low + o.high) / 2] : (o.low ?? o.high ?? [])));
	const seen = middles.length > 1 ? Math.max(...middles) - Math.min(...middles) : 0;
	const most = logScatterDensity(scatter, scatter.sd);
	const plausible = (times: number) => logScatterDensity(scatter, scatter.sd * times) > most + Math.log(NEGLIGIBLE);
	const reach = (step: number) => SCATTER_STEPS.findLast((k) => plausible(step ** k)) ?? 0;
	const [least, greatest] = [scatter.sd * SCATTER_STEP ** -reach(1 / SCATTER_STEP), scatter.sd * SCATTER_STEP ** reach(SCATTER_STEP)];
	return evenly({ low: Math.log(least), high: Math.log(Math.max(greatest, 2 * seen)) }, SDS).map(Math.exp);
}

/** Means for a first look: over all that the prior allows, and closer where something was seen. */
function firstLook(observed: readonly Observed[], { scatter, mean }: CellPrior): Float64Array {
	const ends = observed.flatMap((o) => [o.low, o.high].filter((x) => x !== null));
	const reach = PRIOR_REACH * mean.spread;
	const allowed = evenly({ low: mean.centre - reach, high: mean.centre + reach }, COARSE);
	if (ends.length === 0) return allowed;
	const around = 6 * scatter.sd;
	const seen = evenly({ low: Math.min(...ends) - around, high: Math.max(...ends) + around }, COARSE);
	return Float64Array.from([...allowed, ...seen]).sort();
}

/** Where the mean can be: looked at again, closer, until looking closer leaves nothing more out. */
function closingIn(observed: readonly Observed[], prior: CellPrior, sds: Float64Array): { low: number; high: number } {
	let look = firstLook(observed, prior);
	// Every third scatter is enough to tell where to look.
	const few = sds.filter((_, j) => j % 3 === 0);
	for (let i = 0; ; i++) {
		const found = wherePlausible(look, weighed(observed, prior, look, few), few.length);
		const left = (found.high - found.low) / ((look.at(-1) as number) - (look[0] as number));
		if (left > 0.7 || i === MOST_LOOKS) return found;
		look = evenly(found, COARSE);
	}
}

/** The part of a coarse grid that is not negligible, with a step more on either side. */
function wherePlausible(means: Float64Array, weights: Float64Array, perMean: number): { low: number; high: number } {
	const best = Array.from(means, (_, i) => max(weights.subarray(i * perMean, (i + 1) * perMean)) ?? 0);
	const limit = (max(best) ?? 0) * NEGLIGIBLE;
	const first = best.findIndex((b) => b > limit);
	const last = best.findLastIndex((b) => b > limit);
	return { low: means[Math.max(0, first - 1)] as number, high: means[Math.min(means.length - 1, last + 1)] as number };
}

/**
 * Points evenly spaced from one end to the other, both included.
 * @param count how many
 * @example evenly({ low: 0, high: 1 }, 3)[1] // 0.5
 */
export function evenly({ low, high }: { low: number; high: number }, count: number): Float64Array {
	const points = new Float64Array(count);
	for (let i = 0; i < count; i++) points[i] = low + ((high - low) * i) / (count - 1);
	return points;
}
