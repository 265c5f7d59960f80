import type { None } from './none';

/** What stations say that is nobody’s own. */
export type CommonMessages = {
	noReadings: None;
	onePlace: None;
	/** Cells of the record that tell how such readings differ; 0 where that is assumed. */
	oneReading: { cells: number };
};
