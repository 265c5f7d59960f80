import type { BEFORE } from '../closed-lists';
import type { Amended } from './amended';

export type Reading = Amended & {
	id: string;
	station: string;
	quantity: string;
	/** In the canonical unit; null for a reading that is words only. */
	value: number | null;
	typedText: string;
	typedUnit: string;
	resolution: number | null;
	takenAt: number;
	instrumentId: string | null;
	placeIndex: number | null;
	positionM: number | null;
	direction: string | null;
	attemptId: string | null;
	specimenId: string | null;
	ownMeasureId: string | null;
	/** For a weighing: what the tester says lay before it; null leaves it to be inferred from the record. */
	before: Before | null;
	/** Who scored a mark; null where nobody was named. */
	scorer: string | null;
};

/** What lay between two weighings of one spool. Air stands for everything in which water comes or goes by itself. */
export type Before = (typeof BEFORE)[number];
