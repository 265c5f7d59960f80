import type { None } from './none';

/** What stations say that is nobody’s own. */
export type CommonMessages = {
	noReadings: None;
	onePlace: None;
	oneReading: None;
	borrowedScatter: { n: number; code: string };
};
