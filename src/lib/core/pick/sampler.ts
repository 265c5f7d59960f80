import { randomGamma, randomNormal } from 'd3-random';
import type { QuantityDef, Sampling } from '../finding/types';
import type { RandomSource } from '../random/source';

/**
 * A function that draws the true value of a quantity as its finding allows; unknown draws over the quantity's prior.
 * Student's t as a normal over the root of a chi square; beta and Dirichlet through gammas. Source: Devroye 1986, Non-Uniform Random Variate Generation.
 * @param source uniform numbers; the same source and order give the same draws
 * @example const draw = sampler({ kind: 't', mean: 1.75, standardError: 0.005, df: 4 }, diameterMean, randomSource(1)); draw()
 */
export function sampler(sampling: Sampling, def: Pick<QuantityDef, 'prior'>, source: RandomSource): () => number {
	const gamma = (shape: number) => randomGamma.source(source)(shape, 1);
	switch (sampling.kind) {
		case 't': {
			const normal = randomNormal.source(source)(0, 1);
			const { mean, standardError, df } = sampling;
			if (df === null) return () => mean + standardError * normal();
			const chi = gamma(df / 2);
			return () => mean + (standardError * normal()) / Math.sqrt((2 * chi()) / df);
		}
		case 'beta': {
			const a = gamma(sampling.a);
			const b = gamma(sampling.b);
			return () => {
				const x = a();
				const y = b();
				return x / (x + y);
			};
		}
		case 'ordinal': {
			const gammas = sampling.counts.map((c) => gamma(c));
			return () => {
				let total = 0;
				let sum = 0;
				gammas.forEach((draw, rank) => {
					const g = draw();
					total += g;
					sum += g * rank;
				});
				return sum / total;
			};
		}
		case 'bounds': {
			const { low, high } = sampling;
			return () => low + (high - low) * source();
		}
		case 'quantiles':
			return () => interpolate(sampling.probabilities, sampling.values, source());
		case 'exact':
			return () => sampling.value;
		case 'unknown':
			return () => def.prior.low + (def.prior.high - def.prior.low) * source();
	}
}

function interpolate(probabilities: readonly number[], values: readonly number[], p: number): number {
	for (let i = 1; i < values.length; i++) {
		const high = probabilities[i] as number;
		if (p > high && i < values.length - 1) continue;
		const low = probabilities[i - 1] as number;
		const share = Math.min(1, (p - low) / (high - low));
		return (values[i - 1] as number) + share * ((values[i] as number) - (values[i - 1] as number));
	}
	return values[0] ?? 0;
}
