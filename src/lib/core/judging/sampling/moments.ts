import { nth } from '../../kernel/lists/nth';
import { deviation, mean } from 'd3-array';
import type { QuantityDef, Sampling } from '../finding/types';
import { quantileTable } from './quantile-table';

/** Mean and standard deviation of a sampling, with degrees of freedom; null where nothing is known, not even what is expected. */
export type Moments = { mean: number; sd: number; df: number };

/**
 * The first two moments of what a finding says, for comparing two spools without drawing.
 * @example moments({ kind: 'bounds', low: 0, high: 12 }) // { mean: 6, sd: 3.46, df: Infinity }
 */
export function moments(sampling: Sampling): Moments | null {
	switch (sampling.kind) {
		case 't':
			return { mean: sampling.mean, sd: sampling.standardError, df: sampling.df ?? Infinity };
		case 'beta': {
			const total = sampling.a + sampling.b;
			return { mean: sampling.a / total, sd: Math.sqrt((sampling.a * sampling.b) / (total * total * (total + 1))), df: Infinity };
		}
		case 'bounds':
			return { mean: (sampling.low + sampling.high) / 2, sd: (sampling.high - sampling.low) / Math.sqrt(12), df: Infinity };
		case 'quantiles':
			return momentsOfQuantiles(sampling.probabilities, sampling.values);
		case 'exact':
			return { mean: sampling.value, sd: 0, df: Infinity };
		case 'never':
			return null;
		case 'unknown':
			return sampling.expected ? momentsOfQuantiles(sampling.expected.probabilities, sampling.expected.values) : null;
	}
}

/** Moments of how far a value is from a target, and how much of a shift of the value goes into the distance: 1 above the target, -1 below. */
export type DistanceMoments = Moments & { slope: number };

/**
 * The first two moments of the distance from a target, where nearest is best.
 * Source: by its quantiles (`quantile-table.ts`).
 * @param target in the unit of the quantity
 * @example distanceMoments({ kind: 'exact', value: 1.73 }, 1.75, diameterMean)?.mean // 0.02
 */
export function distanceMoments(
	sampling: Sampling,
	target: number,
	def: Pick<QuantityDef, 'prior' | 'scale' | 'spacing'>
): DistanceMoments | null {
	const of = moments(sampling);
	if (!of) return null;
	const table = quantileTable(sampling, def);
	// Middles of the cells: equally likely values.
	const values = Array.from({ length: table.length - 1 }, (_, i) => (nth(table, i) + nth(table, i + 1)) / 2);
	const distances = values.map((x) => Math.abs(x - target));
	return {
		mean: mean(distances) as number,
		sd: of.sd === 0 ? 0 : (deviation(distances) as number),
		df: of.df,
		slope: mean(values, (x) => Math.sign(x - target)) as number
	};
}

/** Piecewise linear quantile function: mean and variance by its exact integrals. */
function momentsOfQuantiles(probabilities: readonly number[], values: readonly number[]): Moments {
	let first = 0;
	let second = 0;
	let covered = 0;
	for (let i = 1; i < values.length; i++) {
		const weight = nth(probabilities, i) - nth(probabilities, i - 1);
		const a = nth(values, i - 1);
		const b = nth(values, i);
		first += (weight * (a + b)) / 2;
		second += (weight * (a * a + a * b + b * b)) / 3;
		covered += weight;
	}
	first /= covered;
	return { mean: first, sd: Math.sqrt(Math.max(0, second / covered - first * first)), df: Infinity };
}
