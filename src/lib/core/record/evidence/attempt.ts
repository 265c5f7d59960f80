import type { CONDITIONS, FAILURE_CAUSES, FAILURE_KINDS, PRINT_OUTCOMES, WATER_SIGNS } from '../lists/closed-lists';
import type { Amended } from './amended';

export type FailureCause = (typeof FAILURE_CAUSES)[number];

/** Print settings of one attempt. A setting that was not noted is null, not a guess. */
export type PrintSettings = {
	nozzleC: number | null;
	bedC: number | null;
	fanPct: number | null;
	speedPct: number | null;
	flowPct: number | null;
	retractionMm: number | null;
	pressureAdvance: number | null;
};

/** What stood around a print and is told in words: what is not said is not compared. */
export const SET_UP = ['bedSurface', 'bedAgent', 'profile', 'profileVersion', 'enclosure', 'fedFrom'] as const;
export type SetUp = Partial<Record<(typeof SET_UP)[number], string>>;

/** How a print that nobody changed while it ran is named. */
export const UNCHANGED = 'unchanged';

export type Attempt = Amended & {
	id: string;
	pieceId: string;
	at: number;
	outcome: (typeof PRINT_OUTCOMES)[number];
	percentReached: number;
	cause: FailureCause | null;
	/** How it failed; null where nobody said, and for one that finished. */
	failure: (typeof FAILURE_KINDS)[number] | null;
	/** Printed while the settings were still being found: it says nothing of the settled ones. */
	tuning: boolean;
	/** Signs of water while it printed; none where nobody said any. */
	signs: (typeof WATER_SIGNS)[number][];
	/** The portion it was printed from, by the event that cut it off; null for the spool itself. */
	portionId: string | null;
	/** The state of the spool as it was put right for this print; null where its history tells it. */
	condition: (typeof CONDITIONS)[number] | null;
	printer: string | null;
	nozzle: string | null;
	settings: PrintSettings;
	setUp: SetUp;
	/** What it took, as weighed or as the slicer says; null where it was not noted. */
	gramsG: number | null;
	/** SHA-256 of the sliced file; null where it was not noted. */
	fileHash: string | null;
	/** What was changed while it printed; null for nothing. */
	midPrint: string | null;
};
