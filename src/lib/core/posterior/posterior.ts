import { max } from 'd3-array';
import { fastNormalCdf } from '../stats/normal-table';
import { logMeanDensity, logScatterDensity, type CellPrior } from './prior';
import type { Observed } from './scale';
import { weightsOf } from './weights';

/** What a cell is likely to be: weights over a grid of its mean and its scatter, on the model's scale. They sum to 1. */
export type Posterior = { means: Float64Array; sds: Float64Array; weights: Float64Array; n: number };

const MEANS = 161;
const SDS = 25;
/** Looks at few points close in on where the mean can be; the grid then lies there. */
const COARSE = 33;
const MOST_LOOKS = 6;
/** What is less likely than the likeliest by this factor is left off the grid (log). */
const NEGLIGIBLE = Math.log(1e-5);
/** How far from the usual one scatters are looked at: in steps of a sixth, at most fourteen times as large or small. */
const SCATTER_STEP = 7 / 6;
const SCATTER_STEPS = Array.from({ length: 17 }, (_, i) => i);
/** Spreads of the prior of the mean that a grid covers at first. */
const PRIOR_REACH = 12;

/**
 * What observations say of the mean of a cell, with what is known of such cells: normal scatter, each observation an interval, mean and
 * scatter both unknown. Deterministic: a grid of 161 means by 25 scatters, laid where the mass is.
 * Source: interval-censored normal likelihood (Meeker & Escobar 1998, ch. 7) times the priors of `prior.ts`, by direct summation.
 * @param observed on the model's scale; none gives the prior itself
 * @example posteriorOf([{ low: 64, high: 66 }], { scatter: { sd: 3, df: 4 }, mean: { centre: 60, spread: 10 } }).n // 1
 */
export function posteriorOf(observed: readonly Observed[], prior: CellPrior): Posterior {
	const sds = scatterGrid(observed, prior);
	const means = evenly(closingIn(observed, prior, sds), MEANS);
	return { means, sds, weights: weightsOf(logWeights(observed, prior, means, sds)), n: observed.length };
}

/** Logarithms of the weights, mean by mean, all scatters of one mean together. */
function logWeights(observed: readonly Observed[], prior: CellPrior, means: Float64Array, sds: Float64Array): Float64Array {
	const out = logLikelihood(observed, means, sds);
	const ofScatter = sds.map((sd) => logScatterDensity(prior.scatter, sd));
	for (let i = 0; i < means.length; i++) {
		const ofMean = logMeanDensity(prior.mean, means[i] as number);
		for (let j = 0; j < sds.length; j++) out[i * sds.length + j] = (out[i * sds.length + j] as number) + ofMean + (ofScatter[j] as number);
	}
	return out;
}

/** A chance is never quite nought, so that an odd value stays possible; so many of them multiplied still are numbers. */
const LEAST_CHANCE = 1e-15;
const MULTIPLIED = 16;

/**
 * Logarithms of the chance of what was observed, for every mean and scatter of a grid; all scatters of one mean together.
 * @example logLikelihood([{ low: null, high: 0 }], Float64Array.of(0), Float64Array.of(1))[0] // -0.693147
 */
export function logLikelihood(observed: readonly Observed[], means: Float64Array, sds: Float64Array): Float64Array {
	const out = new Float64Array(means.length * sds.length);
	const { edges, lows, highs } = edgesOf(observed);
	const count = observed.length;
	// Chance of a value below each edge: steps share their edges, so each is asked for once.
	const below = new Float64Array(edges.length);
	for (let i = 0; i < means.length; i++) {
		for (let j = 0; j < sds.length; j++) {
			for (let e = 0; e < edges.length; e++) below[e] = fastNormalCdf(((edges[e] as number) - (means[i] as number)) / (sds[j] as number));
			let log = 0;
			let product = 1;
			for (let k = 0; k < count; k++) {
				const chance = (below[highs[k] as number] as number) - (below[lows[k] as number] as number);
				product *= chance > LEAST_CHANCE ? chance : LEAST_CHANCE;
				if (k % MULTIPLIED === MULTIPLIED - 1) {
					log += Math.log(product);
					product = 1;
				}
			}
			out[i * sds.length + j] = log + Math.log(product);
		}
	}
	return out;
}

/** The ends of all observations, each once, open ones infinite; and of each observation the places of its ends in that list. */
function edgesOf(observed: readonly Observed[]): { edges: Float64Array; lows: Int32Array; highs: Int32Array } {
	const lows = observed.map((o) => o.low ?? -Infinity);
	const highs = observed.map((o) => o.high ?? Infinity);
	const edges = Float64Array.from(new Set([...lows, ...highs]));
	const at = new Map(Array.from(edges, (edge, i) => [edge, i]));
	const placesOf = (ends: number[]) => Int32Array.from(ends, (end) => at.get(end) as number);
	return { edges, lows: placesOf(lows), highs: placesOf(highs) };
}

/** Scatters evenly spaced in their logarithm, as far as the prior and the values themselves reach. */
function scatterGrid(observed: readonly Observed[], { scatter }: CellPrior): Float64Array {
	const middles = observed.flatMap((o) => (o.low !== null && o.high !== null ? [(o.low + o.high) / 2] : (o.low ?? o.high ?? [])));
	const seen = middles.length > 1 ? Math.max(...middles) - Math.min(...middles) : 0;
	const most = logScatterDensity(scatter, scatter.sd);
	const plausible = (times: number) => logScatterDensity(scatter, scatter.sd * times) > most + NEGLIGIBLE;
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
	// Every fourth scatter is enough to tell where to look.
	const few = sds.filter((_, j) => j % 4 === 0);
	for (let i = 0; ; i++) {
		const found = wherePlausible(look, logWeights(observed, prior, look, few), few.length);
		const left = (found.high - found.low) / ((look.at(-1) as number) - (look[0] as number));
		if (left > 0.7 || i === MOST_LOOKS) return found;
		look = evenly(found, COARSE);
	}
}

/** The part of a coarse grid that is not negligible, with a step more on either side. */
function wherePlausible(means: Float64Array, logs: Float64Array, perMean: number): { low: number; high: number } {
	const best = Array.from(means, (_, i) => max(logs.subarray(i * perMean, (i + 1) * perMean)) ?? -Infinity);
	const limit = (max(best) ?? 0) + NEGLIGIBLE;
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
	return Float64Array.from({ length: count }, (_, i) => low + ((high - low) * i) / (count - 1));
}
