import type { LOAD_METHODS, ORIENTATIONS } from '../closed-lists';
import type { Amended } from './amended';

export type LoadMethod = (typeof LOAD_METHODS)[number];

/** One thing that is loaded until it breaks or holds. What happened to it are readings. */
export type Specimen = Amended & { id: string; at: number; shape: string; orientation: Orientation; method: LoadMethod };

/** How the layers lay: flat and on edge are pulled along them, upright across. */
export type Orientation = (typeof ORIENTATIONS)[number];

/** What a specimen's result is told in. */
export type SpecimenMeasure = 'load' | 'blows' | 'byHand';
