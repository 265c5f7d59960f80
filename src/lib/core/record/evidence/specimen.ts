import type { LOAD_METHODS, ORIENTATIONS } from '../lists/closed-lists';
import type { Amended } from './amended';

export type LoadMethod = (typeof LOAD_METHODS)[number];

/** One thing that is loaded until it breaks or holds. What happened to it are readings. */
export type Specimen = Amended & {
	id: string;
	at: number;
	shape: string;
	orientation: Orientation;
	method: LoadMethod;
	/** The nozzle temperature it was printed at, C: as said with it, else of its print; null where nobody said. */
	nozzleC: number | null;
	/** How it was printed otherwise, in the tester's words; null where nobody said. */
	made: string | null;
};

/** How the layers lay: flat and on edge are pulled along them, upright across. */
export type Orientation = (typeof ORIENTATIONS)[number];

/** What a specimen's result is told in. */
export type SpecimenMeasure = 'load' | 'blows' | 'byHand';
