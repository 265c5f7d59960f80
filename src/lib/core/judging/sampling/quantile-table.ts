import { remembering } from '../../kernel/memo/remember';
import { betaQuantile, tQuantile } from '../../kernel/stats/distributions';
import type { QuantityDef, Sampling } from '../finding/types';

/** Cells of a table; the chance of a cell is 1/256, finer than any chance of a place is told. */
const CELLS = 256;
/** The outermost quantiles stand in for the tails beyond them. */
const TAIL = 1 / (4 * CELLS);

const NODES = Array.from({ length: CELLS + 1 }, (_, i) => Math.min(1 - TAIL, Math.max(TAIL, i / CELLS)));

type Of = Pick<QuantityDef, 'prior' | 'spacing'>;

/** Tables depend on few parameters and are asked for again with every weight that moves. */
const remembered = remembering<string, Float64Array>(1000);

const at = (quantile: (p: number) => number): Float64Array => Float64Array.from(NODES, quantile);

/**
 * The quantile function of what a finding allows, tabulated at 257 even probabilities, so that a draw costs one uniform number.
 * Student's t and beta from jStat; degrees of freedom are rounded (to 1/2 below 20, to 5 below 100, normal above), which moves
 * no quantile by more than a hundredth of a standard error.
 * Source: inverse transform (Devroye 1986, Non-Uniform Random Variate Generation, II.2).
 * @example quantileTable({ kind: 'bounds', low: 0, high: 1 }, overhang)[128] // 0.5
 */
export function quantileTable(sampling: Sampling, def: Of): Float64Array {
	switch (sampling.kind) {
		case 't': {
			const { mean, standardError } = sampling;
			return standardT(sampling.df).map((t) => mean + standardError * t);
		}
		case 'beta':
			return remembered(`beta ${sampling.a} ${sampling.b}`, () => at((p) => betaQuantile(p, sampling.a, sampling.b)));
		case 'bounds':
			return at((p) => sampling.low + (sampling.high - sampling.low) * p);
		case 'quantiles':
			return at((p) => interpolate(sampling.probabilities, sampling.values, p));
		case 'exact':
			return at(() => sampling.value);
		case 'never':
			return at(() => def.prior.high);
		case 'unknown':
			return expected(sampling.expected, def);
	}
}

/**
 * One draw from a table for a uniform number in [0, 1).
 * @param uniform a random number from 0 to below 1
 * @returns a value, 0 to 1
 * @example drawFrom(quantileTable({ kind: 'bounds', low: 0, high: 1 }, overhang), 0.25) // 0.25
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

/** Nothing known: as such spools usually are, else anything the quantity's prior allows, all alike on its scale. */
function expected(usual: { probabilities: number[]; values: number[] } | undefined, def: Of): Float64Array {
	if (usual) return at((p) => interpolate(usual.probabilities, usual.values, p));
	const { low, high } = def.prior;
	return at((p) => (def.spacing === 'ratio' ? low * (high / low) ** p : low + (high - low) * p));
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
