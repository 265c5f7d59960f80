import type { BEFORE, READING_DIRECTIONS } from '../lists/closed-lists';
import type { Amended } from './amended';

/** What lay between two weighings of one spool. Air stands for everything in which water comes or goes by itself. */
export type Before = (typeof BEFORE)[number];

/** What may stand beside the value of a reading; null where it was not said. */
export type ReadingContext = {
	instrumentId: string | null;
	placeIndex: number | null;
	positionM: number | null;
	direction: (typeof READING_DIRECTIONS)[number] | null;
	attemptId: string | null;
	specimenId: string | null;
	ownMeasureId: string | null;
	/** For a weighing: what the tester says lay before it; null leaves it to be inferred from the record. */
	before: Before | null;
	/** Who scored a mark; null where nobody was named. */
	scorer: string | null;
};

/** The fields of the context, and whether each is the id of another record. */
export const READING_CONTEXT = {
	instrumentId: 'id',
	placeIndex: 'plain',
	positionM: 'plain',
	direction: 'plain',
	attemptId: 'id',
	specimenId: 'id',
	ownMeasureId: 'id',
	before: 'plain',
	scorer: 'plain'
} as const satisfies Record<keyof ReadingContext, 'id' | 'plain'>;

/**
 * The context out of anything that has some of it: what is left out or empty is null.
 * @example contextOfReading({ scorer: '', placeIndex: 0 }).placeIndex // 0
 */
export function contextOfReading(given: { [F in keyof ReadingContext]?: ReadingContext[F] | undefined }): ReadingContext {
	const fields = Object.keys(READING_CONTEXT) as (keyof ReadingContext)[];
	return Object.fromEntries(fields.map((f) => [f, given[f] === '' ? null : (given[f] ?? null)])) as ReadingContext;
}

export type Reading = Amended &
	ReadingContext & {
		id: string;
		station: string;
		quantity: string;
		/** In the canonical unit; null for a reading that is words only. */
		value: number | null;
		typedText: string;
		typedUnit: string;
		resolution: number | null;
		takenAt: number;
	};
