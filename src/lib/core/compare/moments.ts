import { sum } from 'd3-array';
import type { Sampling } from '../finding/types';

/** Mean and standard deviation of a sampling, with degrees of freedom; null where nothing is known. */
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
		case 'ordinal': {
			const total = sum(sampling.counts);
			const mean = sum(sampling.counts, (c, rank) => (c / total) * rank);
			const second = sum(sampling.counts, (c, rank) => (c / total) * rank * rank);
			return { mean, sd: Math.sqrt((second - mean * mean) / (total + 1)), df: Infinity };
		}
		case 'bounds':
			return { mean: (sampling.low + sampling.high) / 2, sd: (sampling.high - sampling.low) / Math.sqrt(12), df: Infinity };
		case 'quantiles':
			return momentsOfQuantiles(sampling.probabilities, sampling.values);
		case 'exact':
			return { mean: sampling.value, sd: 0, df: Infinity };
		case 'unknown':
			return null;
	}
}

/** Piecewise linear quantile function: mean and variance by its exact integrals. */
function momentsOfQuantiles(probabilities: readonly number[], values: readonly number[]): Moments {
	let mean = 0;
	let second = 0;
	let covered = 0;
	for (let i = 1; i < values.length; i++) {
		const weight = (probabilities[i] as number) - (probabilities[i - 1] as number);
		const a = values[i - 1] as number;
		const b = values[i] as number;
		mean += (weight * (a + b)) / 2;
		second += (weight * (a * a + a * b + b * b)) / 3;
		covered += weight;
	}
	mean /= covered;
	return { mean, sd: Math.sqrt(Math.max(0, second / covered - mean * mean)), df: Infinity };
}
