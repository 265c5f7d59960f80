import { group, sum } from 'd3-array';
import { evenly, logLikelihood } from './posterior';
import { logMeanDensity, logScatterDensity, type CellPrior } from './prior';
import type { Observed } from './scale';

/** Scatters and spreads tried, as multiples of what is assumed where the record is silent: an eighth to eight times, in thirds of a doubling. */
const MULTIPLES = Array.from({ length: 19 }, (_, i) => 2 ** ((i - 9) / 3));
/** How alike the scatters of the cells are; the last stands for all alike. */
const DFS = [3, 4, 6, 8, 12, 16, 24, 48];
const CENTRES = 41;
const ROUNDS = 4;
const GRID = { means: 121, sds: 31 };
/**
 * The assumed prior counts as so many cells more: a record of three cells moves it a little, one of thirty decides (common practice, no
 * source). Logs of densities over the doublings of scatter and spread.
 */
const ASSUMED = { perDoubling: 0.5 };

/**
 * Learns what cells of one kind are like from all of them: the scatter of their values and the spread of their means under which what was
 * seen is likeliest. Several cells of one value say something of the spread, cells with repeats of the scatter; where neither is there, what
 * was assumed stays.
 * Source: empirical Bayes (maximum marginal likelihood); moderated variance, Smyth 2004, for the idea. The penalty towards what was assumed is
 * common practice, no source.
 * @param cells observations of each cell, on the model's scale
 * @param assumed the prior where the record is silent
 * @example learnPrior([], assumed) // what was assumed
 */
export function learnPrior(cells: readonly (readonly Observed[])[], assumed: CellPrior): CellPrior {
	const seen = cells.filter((cell) => cell.length > 0);
	if (seen.length < 2) return assumed;
	const means = evenly(reachOf(seen, assumed), GRID.means);
	const sds = evenly({ low: Math.log(assumed.scatter.sd / 16), high: Math.log(assumed.scatter.sd * 16) }, GRID.sds).map(Math.exp);
	const likelihoods = counted(seen).map(({ cell, count }) => ({ at: likelihood(cell, means, sds), count }));
	let prior = assumed;
	for (let round = 0; round < ROUNDS; round++) {
		const before = prior;
		prior = { ...prior, scatter: bestScatter(likelihoods, prior, assumed, means, sds) };
		prior = { ...prior, mean: bestMean(likelihoods, prior, assumed, means, sds) };
		if (same(before, prior)) break;
	}
	return prior;
}

/** Cells that show the same are looked at once: steps and words repeat. */
function counted(cells: readonly (readonly Observed[])[]): { cell: readonly Observed[]; count: number }[] {
	const alike = group(cells, (cell) =>
		cell
			.map((o) => `${o.low} ${o.high}`)
			.sort()
			.join(';')
	);
	return [...alike.values()].map((of) => ({ cell: of[0] as readonly Observed[], count: of.length }));
}

type Likelihood = { at: Float64Array; count: number };

/** Chance of what a cell shows over the grid, but for a constant. */
function likelihood(cell: readonly Observed[], means: Float64Array, sds: Float64Array): Float64Array {
	const logs = logLikelihood(cell, means, sds);
	const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
	return logs.map((l) => Math.exp(l - most));
}

/** The scatter under which all cells are likeliest, with the means as they are taken to lie now. */
function bestScatter(
	likelihoods: readonly Likelihood[],
	prior: CellPrior,
	assumed: CellPrior,
	means: Float64Array,
	sds: Float64Array
): CellPrior['scatter'] {
	const ofMean = shares(means, (m) => logMeanDensity(prior.mean, m));
	const perCell = likelihoods.map(({ at, count }) => ({
		at: Float64Array.from(sds, (_, j) => sum(means, (__, i) => (at[i * sds.length + j] as number) * (ofMean[i] as number))),
		count
	}));
	const candidates = MULTIPLES.flatMap((times) => DFS.map((df) => ({ sd: assumed.scatter.sd * times, df })));
	return best(candidates, (scatter) => {
		const weights = shares(sds, (sd) => logScatterDensity(scatter, sd));
		return sum(perCell, ({ at, count }) => count * Math.log(dot(at, weights))) - doublings(scatter.sd / assumed.scatter.sd);
	});
}

/** Where the means lie under which all cells are likeliest, with the scatter as it is taken to be now. */
function bestMean(
	likelihoods: readonly Likelihood[],
	prior: CellPrior,
	assumed: CellPrior,
	means: Float64Array,
	sds: Float64Array
): CellPrior['mean'] {
	const ofScatter = shares(sds, (sd) => logScatterDensity(prior.scatter, sd));
	const perCell = likelihoods.map(({ at, count }) => ({
		at: Float64Array.from(means, (_, i) => dot(at.subarray(i * sds.length, (i + 1) * sds.length), ofScatter)),
		count
	}));
	const centres = evenly({ low: means[0] as number, high: means.at(-1) as number }, CENTRES);
	const candidates = MULTIPLES.flatMap((times) => Array.from(centres, (centre) => ({ centre, spread: assumed.mean.spread * times })));
	return best(candidates, (mean) => {
		const weights = shares(means, (m) => logMeanDensity(mean, m));
		return sum(perCell, ({ at, count }) => count * Math.log(dot(at, weights))) - doublings(mean.spread / assumed.mean.spread);
	});
}

/** Densities over a grid as shares that sum to 1. */
function shares(grid: Float64Array, logDensity: (x: number) => number): Float64Array {
	const logs = grid.map(logDensity);
	const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
	const weights = logs.map((l) => Math.exp(l - most));
	const total = sum(weights);
	return weights.map((w) => w / total);
}

function dot(a: Float64Array, b: Float64Array): number {
	let total = 0;
	for (let i = 0; i < a.length; i++) total += (a[i] as number) * (b[i] as number);
	return total > 1e-300 ? total : 1e-300;
}

/** What it costs to depart from what was assumed. */
const doublings = (ratio: number): number => ASSUMED.perDoubling * Math.log2(ratio) ** 2;

function best<T>(candidates: readonly T[], worth: (one: T) => number): T {
	let [found, most] = [candidates[0] as T, -Infinity];
	for (const one of candidates) {
		const is = worth(one);
		if (is > most) [found, most] = [one, is];
	}
	return found;
}

function reachOf(cells: readonly (readonly Observed[])[], assumed: CellPrior): { low: number; high: number } {
	const ends = cells.flat().flatMap((o) => [o.low, o.high].filter((x) => x !== null));
	return {
		low: Math.min(assumed.mean.centre, ...ends) - 4 * assumed.scatter.sd,
		high: Math.max(assumed.mean.centre, ...ends) + 4 * assumed.scatter.sd
	};
}

const same = (a: CellPrior, b: CellPrior): boolean =>
	a.scatter.sd === b.scatter.sd && a.scatter.df === b.scatter.df && a.mean.centre === b.mean.centre && a.mean.spread === b.mean.spread;
