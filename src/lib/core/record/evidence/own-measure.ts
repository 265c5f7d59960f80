import type { Direction, Family } from '../lists/closed-lists';

/** A measure of the tester's own: it belongs to the bench, and every trial may take it. */
export type OwnMeasure = {
	id: string;
	name: string;
	unit: string;
	direction: Direction;
	low: number;
	high: number;
	/** Its words from the worst to the best; null for a number. */
	words: string[] | null;
	/** What it tells of, and counts with; null for nothing of these. */
	family: Family | null;
	/** Whether this trial asks for it: it was made here, or measured on one of its spools. */
	here: boolean;
};
