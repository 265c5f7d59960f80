import type { InstrumentBudget } from './budget';
import { countOutside } from './outside';
import { mostInside, shareInside, type ShareInside, type StrandEstimate } from './share-inside';

/** One place of the strand with its readings, bias taken off. */
export type PlaceReadings = { index: number; positionM: number | null; valuesMm: number[] };

/** What is known of a strand, from single readings or from a gauge's log: what all findings of the station are made of. */
export type Strand = {
	from: 'readings' | 'log';
	n: number;
	/** Independent readings: neighbours repeat each other. */
	nEffective: number;
	meanMm: number;
	/** Over all readings, n - 1; null for one reading. */
	sdMm: number | null;
	lowMm: number;
	highMm: number;
	/** Places of the strand that were read. */
	spots: number;
	/** The strand as the first readings told it, at each planned look that was reached; none for a log, which is looked at once. */
	looks: readonly Strand[];
	/** Of the mean, the instrument left out; null while one place says nothing of the rest. */
	standardErrorMm: number | null;
	df: number;
	budget: InstrumentBudget;
	/** Readings beyond the limits; one on a limit is inside. */
	outside(lowMm: number, highMm: number): number;
	/** Share of length inside; null while one place says nothing of the rest. */
	inside(lowMm: number, highMm: number, given?: { nEffective?: number; slices?: number }): ShareInside | null;
	/** The most of the length that may be inside, at a one-sided level, whatever the instrument may be off; null while one place says nothing. */
	most(lowMm: number, highMm: number, level: number, given?: { nEffective?: number; slices?: number }): number | null;
};

/**
 * The strand as single readings tell it, under the normal law.
 * A spread below what the display can show is taken as what the display can hide.
 * @example normalStrand(base, valuesMm).inside(1.73, 1.77)?.estimate // 0.97
 */
export function normalStrand(base: Omit<Strand, 'outside' | 'inside' | 'most' | 'from'>, valuesMm: readonly number[]): Strand {
	const { budget, meanMm, sdMm } = base;
	const hiddenSd = budget.resolutionMm / Math.sqrt(12);
	const estimate = (nEffective: number): StrandEstimate | null =>
		sdMm === null || nEffective < 2
			? null
			: {
					meanMm,
					sdMm: Math.max(sdMm, hiddenSd),
					nEffective,
					repeatabilityMm: budget.repeatabilityMm,
					commonMm: budget.standardUncertaintyMm
				};
	return {
		...base,
		from: 'readings',
		outside: (lowMm, highMm) => countOutside(valuesMm, lowMm, highMm, budget.resolutionMm),
		inside(lowMm, highMm, given = {}) {
			const of = estimate(given.nEffective ?? base.nEffective);
			return of && shareInside(of, lowMm, highMm, given.slices);
		},
		most(lowMm, highMm, level, given = {}) {
			const of = estimate(given.nEffective ?? base.nEffective);
			return of && mostInside(of, lowMm, highMm, level, given.slices);
		}
	};
}
