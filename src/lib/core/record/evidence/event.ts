import type { EVENT_KINDS } from '../lists/closed-lists';
import type { Amended } from './amended';
import type { DryerCheck } from './dryer-check';

/** A drying is dated by its end; one that still runs (`drying`) by its start. */
export type SpoolEvent = Amended & {
	id: string;
	kind: (typeof EVENT_KINDS)[number] | 'drying';
	at: number;
	drying: { runId: string; startedAt: number; setPointC: number; dryer: string | null; checks: DryerCheck[] } | null;
	/** The portion it happened to, by the event that cut it off; null for the spool itself. */
	portionId: string | null;
	/** What a portion that was cut off is called; null for every other event. */
	portion: string | null;
	/** How humid it was where the spool lay in the open, %; null where nobody said. */
	humidityPct: number | null;
	/** How long it was soaked, h; null where nobody said. */
	hours: number | null;
};
