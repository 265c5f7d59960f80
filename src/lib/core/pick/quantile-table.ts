import { betaQuantile, tQuantile } from '../stats/distributions';
import { randomGamma } from 'd3-random';
import { quantileSorted } from 'simple-statistics';
import type { QuantityDef, Sampling } from '../finding/types';
import { randomSource } from '../random/source';

/** Cells of a table; the chance of a cell is 1/256, finer than any chance of a place is told. */
const CELLS = 256;
/** The outermost quantiles stand in for the tails beyond them. */
const TAIL = 1 / (4 * CELLS);

const NODES = Array.from({ length: CELLS + 1 }, (_, i) => Math.min(1 - TAIL, Math.max(TAIL, i / CELLS)));

/** Tables depend on few parameters and are asked for again with every weight that moves. */
const shapes = new Map<string, Float64Array>();

function remembered(key: string, make: () => Float64Array): Float64Array {
	const known = shapes.get(key);
	if (known) return known;
	// Bounded: a long session with ever new counts must not grow without end.
	if (shapes.size > 2000) shapes.clear();
	const made = make();
	shapes.set(key, made);
	return made;
}

const at = (quantile: (p: number) => number): Float64Array => Float64Array.from(NODES, quantile);

/**
 * The quantile function of what a finding allows, tabulated at 257 even probabilities, so that a draw costs one uniform number.
 * Student's t and beta from jStat; degrees of freedom are rounded (to 1/2 below 20, to 5 below 100, normal above), which moves
 * no quantile by more than a hundredth of a standard error; the mean rank of Dirichlet counts from 8,192 seeded draws, having no closed form.
 * Source: inverse transform (Devroye 1986, Non-Uniform Random Variate Generation, II.2).
 * @example quantileTable({ kind: 'bounds', low: 0, high: 1 }, overhang)[128] // 0.5
 */
export function quantileTable(sampling: Sampling, def: Pick<QuantityDef, 'prior'>): Float64Array {
	switch (sampling.kind) {
		case 't': {
			const { mean, standardError } = sampling;
			return standardT(sampling.df).map((t) => mean + standardError * t);
		}
		case 'beta':
			return remembered(`beta ${sampling.a} ${sampling.b}`, () => at((p) => betaQuantile(p, sampling.a, sampling.b)));
		case 'ordinal':
			return remembered(`ordinal ${sampling.counts.join(' ')}`, () => meanRank(sampling.counts));
		case 'bounds':
			return at((p) => sampling.low + (sampling.high - sampling.low) * p);
		case 'quantiles':
			return at((p) => interpolate(sampling.probabilities, sampling.values, p));
		case 'exact':
			return at(() => sampling.value);
		case 'unknown':
			return at((p) => def.prior.low + (def.prior.high - def.prior.low) * p);
	}
}

/**
 * One draw from a table for a uniform number in [0, 1).
 * @param uniform a random number from 0 to below 1
 * @returns a value, 0 to 1
 * @example drawFrom(table, source())
 */
export function drawFrom(table: Float64Array, uniform: number): number {
	const scaled = uniform * CELLS;
	const cell = Math.floor(scaled);
	const low = table[cell] as number;
	return low + ((table[cell + 1] as number) - low) * (scaled - cell);
}

function standardT(df: number | null): Float64Array {
	const rounded = df === null || df >= 100 ? Infinity : df < 20 ? Math.max(0.5, Math.round(df * 2) / 2) : Math.round(df / 5) * 5;
	return remembered(`t ${rounded}`, () => {
		const table = new Float64Array(CELLS + 1);
		// Symmetric: half the quantiles are the other half with the other sign.
		for (let i = CELLS / 2 + 1; i <= CELLS; i++) {
			const t = tQuantile(NODES[i] as number, rounded);
			table[i] = t;
			table[CELLS - i] = -t;
		}
		return table;
	});
}

const RANK_DRAWS = 8192;

function meanRank(counts: readonly number[]): Float64Array {
	const source = randomSource(RANK_DRAWS);
	const gammas = counts.map((c) => randomGamma.source(source)(c, 1));
	const draws = Array.from({ length: RANK_DRAWS }, () => {
		const drawn = gammas.map((draw) => draw());
		const total = drawn.reduce((sum, g) => sum + g, 0);
		return drawn.reduce((sum, g, rank) => sum + (g / total) * rank, 0);
	}).sort((a, b) => a - b);
	return at((p) => quantileSorted(draws, p));
}

function interpolate(probabilities: readonly number[], values: readonly number[], p: number): number {
	for (let i = 1; i < values.length; i++) {
		const high = probabilities[i] as number;
		if (p > high && i < values.length - 1) continue;
		const low = probabilities[i - 1] as number;
		const share = Math.min(1, Math.max(0, (p - low) / (high - low)));
		return (values[i - 1] as number) + share * ((values[i] as number) - (values[i - 1] as number));
	}
	return values[0] ?? 0;
}
