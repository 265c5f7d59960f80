import { chiSquareQuantile } from '../../kernel/stats/distributions';

/** Spread of the strand itself, the instrument's scatter taken out. */
export type OwnSpread = { sdMm: number; lowMm: number; highMm: number; hidden: boolean };

/**
 * Spread of the strand with the instrument's scatter taken out, with its 95 % interval. Hidden by the instrument when nothing
 * is left at the lower end: then the readings would scatter as they do on a perfect strand.
 * Source: chi-square interval of a variance (ISO 2854), less a known variance (JCGM 100, 4.3); common practice, no source, for the cut at 0.
 * @example ownSpread({ sdMm: 0.005, nEffective: 10, repeatabilityMm: 0.004 }).hidden // true
 */
export function ownSpread(given: { sdMm: number; nEffective: number; repeatabilityMm: number }): OwnSpread {
	const { sdMm, nEffective, repeatabilityMm } = given;
	const df = nEffective - 1;
	const left = (variance: number) => Math.sqrt(Math.max(0, variance - repeatabilityMm ** 2));
	const lowMm = left((df * sdMm ** 2) / chiSquareQuantile(0.975, df));
	return { sdMm: left(sdMm ** 2), lowMm, highMm: left((df * sdMm ** 2) / chiSquareQuantile(0.025, df)), hidden: lowMm === 0 };
}
