import type { LogSummary } from '../gauge-log/summary';
import type { Amended } from './amended';

/** A gauge's log of this spool. The samples stay on the server; what they say travels. */
export type LoggedStrand = Amended & {
	id: string;
	name: string;
	at: number;
	instrumentId: string | null;
	summary: LogSummary;
	/** Parts that do not count, with the amendment that says so; as many as the summary's. */
	leftOut: { amendmentId: string; reason: string; fromM: number; toM: number }[];
};
