import type { EVENT_KINDS } from '../closed-lists';
import type { Amended } from './amended';

/** A drying is dated by its end: from then on the spool is dried. */
export type SpoolEvent = Amended & {
	id: string;
	kind: (typeof EVENT_KINDS)[number];
	at: number;
	drying: { runId: string; startedAt: number; setPointC: number; dryer: string | null } | null;
};
