import { nth } from '../../kernel/lists/nth';
import type { RandomSource } from '../../kernel/random/source';
import type { CrossedReadings } from './gauge-study';

/** One reading of a gauge study: the place and the rater by their number from 0. */
export type StudyReading = { place: number; rater: number; value: number };

/** How large a gauge study is. */
export type StudySize = { places: number; raters: number; repeats: number };

/** One step of a gauge study: who measures where. */
export type StudyStep = { rater: number; place: number; repeat: number };

/**
 * Order of a gauge study: round by round, each rater goes through all places in an order of their own, so that nobody remembers the last
 * value of a place.
 * Source: AIAG, Measurement Systems Analysis, 4th ed. (random order within each trial).
 * @example studyPlan({ places: 5, raters: 2, repeats: 3 }, randomSource(7)).length // 30
 */
export function studyPlan(size: StudySize, random: RandomSource): StudyStep[] {
	const steps: StudyStep[] = [];
	for (let repeat = 0; repeat < size.repeats; repeat++)
		for (let rater = 0; rater < size.raters; rater++) {
			const order = Array.from({ length: size.places }, (_, place) => place);
			for (let i = order.length - 1; i > 0; i--) {
				const j = Math.floor(random() * (i + 1));
				[order[i], order[j]] = [nth(order, j), nth(order, i)];
			}
			steps.push(...order.map((place) => ({ rater, place, repeat })));
		}
	return steps;
}

/**
 * Readings of a study as the crossed table of the analysis.
 * @returns null unless every rater read every place equally often, at least twice, over at least two places
 * @example cellsOf([0, 0, 1, 1].map((place, i) => ({ place, rater: 0, value: 1.75 + i / 100 })))?.[0]?.[0] // [1.75, 1.76]
 */
export function cellsOf(readings: readonly StudyReading[]): CrossedReadings | null {
	const count = (of: (r: StudyReading) => number) => readings.reduce((most, r) => Math.max(most, of(r) + 1), 0);
	const cells = Array.from({ length: count((r) => r.place) }, () => Array.from({ length: count((r) => r.rater) }, (): number[] => []));
	for (const { place, rater, value } of readings) cells[place]?.[rater]?.push(value);
	const repeats = cells[0]?.[0]?.length ?? 0;
	return cells.length >= 2 && repeats >= 2 && cells.flat().every((cell) => cell.length === repeats) ? cells : null;
}
