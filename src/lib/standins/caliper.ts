import { randomLcg, randomNormal } from 'd3-random';

/** A made-up caliper: what it shows too much, how far it scatters, the step of its display. */
export type MadeCaliper = { biasMm: number; scatterMm: number; resolutionMm: number };

/**
 * Readings of a made-up caliper on a made-up strand, as text such as it would type: the same seed gives the same readings.
 * @example const next = caliper({ biasMm: 0, scatterMm: 0.004, resolutionMm: 0.01 }, 1.75, 0.006, 7); next() // '1.75'
 */
export function caliper(made: MadeCaliper, meanMm: number, sdMm: number, seed: number): () => string {
	const normal = randomNormal.source(randomLcg(seed))(0, 1);
	const decimals = Math.max(0, Math.ceil(-Math.log10(made.resolutionMm)));
	return () => {
		const mm = meanMm + normal() * sdMm + made.biasMm + normal() * made.scatterMm;
		return (Math.round(mm / made.resolutionMm) * made.resolutionMm).toFixed(decimals);
	};
}
