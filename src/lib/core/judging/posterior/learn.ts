import { group, max, sum } from 'd3-array';
import { evenly, likelihoodOver } from './posterior';
import { logMeanDensity, logScatterDensity, type CellPrior } from './prior';
import type { Observed } from './scale';
import { meanOver, weightsOf } from './weights';

/** Scatters and spreads tried, as multiples of what is assumed where the record is silent, in thirds of a doubling. */
const SCATTERS = Array.from({ length: 19 }, (_, i) => 2 ** ((i - 9) / 3));
/** Spools may be far more alike than is assumed, hardly ever far less. */
const SPREADS = Array.from({ length: 22 }, (_, i) => 2 ** ((i - 15) / 3));
/** How alike the scatters of the cells are; the last stands for all alike. */
const DFS = [3, 4, 6, 8, 12, 16, 24, 48];
const CENTRES = 41;
/** So many differing cells tell a scatter to a fifteenth of itself; of more, every so-manieth is looked at (common practice, no source). */
const MOST_CELLS = 150;
const REPEATS = 3;
const ROUNDS = 3;
const GRID = { means: 121, sds: 31 };
/**
 * What it costs to depart from what is assumed, in logs of the likelihood for a doubling and its square for more: a record of three cells
 * moves the scatter a little, one of thirty decides; the spread is let go sooner (common practice, no source).
 */
const HELD_BACK = { scatter: 0.5, spread: 0.25 };

/**
 * Learns what cells of one kind are like from all of them: the scatter of their values and the spread of their means, each candidate weighed
 * by how likely it makes what was seen. Several cells of one value say something of the spread, cells with repeats of the scatter; where
 * neither is there, what was assumed stays, a little wider.
 * Source: empirical Bayes (marginal likelihood on a grid); moderated variance, Smyth 2004, for the idea. The penalty towards what was assumed is
 * common practice, no source.
 * @param cells observations of each cell, on the model's scale
 * @param assumed the prior where the record is silent
 * @example learnPrior([], assumed) // what was assumed
 */
export function learnPrior(cells: readonly (readonly Observed[])[], assumed: CellPrior): CellPrior {
	const seen = cells.filter((cell) => cell.length > 0);
	// One cell says something of the scatter of its values only where it has some (common practice, no source).
	if (seen.length === 0 || (seen.length === 1 && (seen[0]?.length ?? 0) < REPEATS)) return assumed;
	const means = evenly(reachOf(seen, assumed), GRID.means);
	const sds = evenly({ low: Math.log(assumed.scatter.sd / 16), high: Math.log(assumed.scatter.sd * 16) }, GRID.sds).map(Math.exp);
	const likelihoods = few(seen).map(({ cell, count }) => ({ at: likelihoodOver(cell, means, sds), count }));
	let prior = assumed;
	let candidates = meansTried(means, assumed);
	for (let round = 0; round < ROUNDS; round++) {
		prior = { ...prior, scatter: scatterOf(likelihoods, prior, assumed, means, sds) };
		// One cell says nothing of how spools differ.
		if (seen.length === 1) continue;
		const logs = logsOfMeans(candidates, likelihoods, prior, assumed, means, sds);
		prior = { ...prior, mean: meanOfMeans(candidates, logs) };
		const most = max(logs) ?? 0;
		candidates = candidates.filter((_, i) => (logs[i] as number) > most - HOPELESS);
	}
	return prior;
}

/** What is less likely than the likeliest by this (log, 1e-17) is not tried again in the next round. */
const HOPELESS = 40;

/** All that differ; of very many, as many as are enough, evenly from all. */
function few(cells: readonly (readonly Observed[])[]): { cell: readonly Observed[]; count: number }[] {
	const all = counted(cells);
	if (all.length <= MOST_CELLS) return all;
	return counted(Array.from({ length: MOST_CELLS }, (_, i) => cells[Math.floor((i * cells.length) / MOST_CELLS)] as readonly Observed[]));
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

/** The scatter, by all cells, with the means as they are taken to lie now. */
function scatterOf(
	likelihoods: readonly Likelihood[],
	prior: CellPrior,
	assumed: CellPrior,
	means: Float64Array,
	sds: Float64Array
): CellPrior['scatter'] {
	const ofMean = shares(means, (m) => logMeanDensity(prior.mean, m));
	const perCell = likelihoods.map(({ at, count }) => ({
		at: overMeans(at, ofMean, sds.length),
		count
	}));
	const candidates = SCATTERS.flatMap((times) => DFS.map((df) => ({ sd: assumed.scatter.sd * times, df })));
	const logs = candidates.map((scatter) => {
		const weights = shares(sds, (sd) => logScatterDensity(scatter, sd));
		return (
			sum(perCell, ({ at, count }) => count * Math.log(dot(at, weights))) - HELD_BACK.scatter * doublings(scatter.sd / assumed.scatter.sd)
		);
	});
	const over = meanOver(candidates, logs);
	return { sd: Math.sqrt(over((one) => one.sd ** 2)), df: 1 / over((one) => 1 / one.df) };
}

/** Likelihoods of the scatters, whatever the mean. */
function overMeans(at: Float64Array, ofMean: Float64Array, scatters: number): Float64Array {
	const out = new Float64Array(scatters);
	for (let i = 0; i < ofMean.length; i++)
		for (let j = 0; j < scatters; j++) out[j] = (out[j] as number) + (at[i * scatters + j] as number) * (ofMean[i] as number);
	return out;
}

/** Where the means of cells may lie: every centre with every spread. */
function meansTried(means: Float64Array, assumed: CellPrior): CellPrior['mean'][] {
	const centres = evenly({ low: means[0] as number, high: means.at(-1) as number }, CENTRES);
	return SPREADS.flatMap((times) => Array.from(centres, (centre) => ({ centre, spread: assumed.mean.spread * times })));
}

/** How likely all cells make each of them, with the scatter as it is taken to be now. */
function logsOfMeans(
	candidates: readonly CellPrior['mean'][],
	likelihoods: readonly Likelihood[],
	prior: CellPrior,
	assumed: CellPrior,
	means: Float64Array,
	sds: Float64Array
): number[] {
	const ofScatter = shares(sds, (sd) => logScatterDensity(prior.scatter, sd));
	const perCell = likelihoods.map(({ at, count }) => ({
		at: Float64Array.from(means, (_, i) => dot(at.subarray(i * sds.length, (i + 1) * sds.length), ofScatter)),
		count
	}));
	return candidates.map((mean) => {
		const weights = shares(means, (m) => logMeanDensity(mean, m));
		return (
			sum(perCell, ({ at, count }) => count * Math.log(dot(at, weights))) - HELD_BACK.spread * doublings(mean.spread / assumed.mean.spread)
		);
	});
}

function meanOfMeans(candidates: readonly CellPrior['mean'][], logs: readonly number[]): CellPrior['mean'] {
	const over = meanOver(candidates, logs);
	const centre = over((one) => one.centre);
	// What is not known of the middle widens the spread.
	return { centre, spread: Math.sqrt(over((one) => one.spread ** 2 + (one.centre - centre) ** 2)) };
}

/** Densities over a grid as shares that sum to 1. */
const shares = (grid: Float64Array, logDensity: (x: number) => number): Float64Array => weightsOf(grid.map(logDensity));

function dot(a: Float64Array, b: Float64Array): number {
	let total = 0;
	for (let i = 0; i < a.length; i++) total += (a[i] as number) * (b[i] as number);
	return total > 1e-300 ? total : 1e-300;
}

const doublings = (ratio: number): number => Math.log2(ratio) ** 2;

function reachOf(cells: readonly (readonly Observed[])[], assumed: CellPrior): { low: number; high: number } {
	const ends = cells.flat().flatMap((o) => [o.low, o.high].filter((x) => x !== null));
	return {
		low: Math.min(assumed.mean.centre, ...ends) - 4 * assumed.scatter.sd,
		high: Math.max(assumed.mean.centre, ...ends) + 4 * assumed.scatter.sd
	};
}
