import type { Dimension } from '../units/dimension';

export type ReadingQuantity = {
	station: string;
	dimension: Dimension;
	/** Hard limits in the canonical unit: outside them a value cannot be what was meant. */
	low: number;
	high: number;
	/** An ordinal mark: the typed word's place in this list is the value. */
	words?: readonly string[];
	/** What such a reading belongs to. */
	of?: 'attempt' | 'specimen';
};

export const STRING_WORDS = ['none', 'wisp', 'slight', 'heavy'] as const;

/** How a piece sat on the bed, worst first: it tore the sheet, its corners came up, it held and had to be prised, it held and let go when cold. */
export const BED_WORDS = ['tears', 'lifts', 'holds', 'releases'] as const;

/** How supports came off, best first. */
export const SUPPORT_WORDS = ['clean', 'marks', 'hard', 'fused'] as const;

/** How a strand went into the feeder: by itself, with a push, only with force, not at all. */
export const LOAD_WORDS = ['glides', 'pushed', 'forced', 'refused'] as const;

/** What a photograph is good for, as the program that measures it says. */
export const PHOTO_WORDS = ['clear', 'doubtful', 'unusable'] as const;

export const SEVERITY_WORDS = ['none', 'faint', 'plain', 'strong'] as const;

/** What can be wrong with a surface, each by its severity. */
export const SURFACE_FAULTS = [
	'surfaceBands',
	'surfaceBlobs',
	'surfaceZits',
	'surfacePinholes',
	'surfaceSeam',
	'surfaceContraction',
	'surfaceDots',
	'surfaceGaps'
] as const;

/** How a piece gave way in the hands, weakest first. */
export const BY_HAND_WORDS = ['crumbles', 'snaps', 'resists', 'bends'] as const;

/** How a specimen failed. One that slipped from its grip did not break: its load was held. */
export const FAILURE_WORDS = ['snapped', 'bent', 'layers', 'shattered', 'tore', 'slipped'] as const;
export type FailureMode = (typeof FAILURE_WORDS)[number];

/** Every quantity a raw reading can have, with the station it belongs to and what is believable. */
export const READING_QUANTITIES: Record<string, ReadingQuantity> = {
	diameter: { station: 'diameter', dimension: 'length', low: 0.5, high: 5 },
	calibratedFlow: { station: 'diameter', dimension: 'plain', low: 0.3, high: 2 },
	pressureAdvance: { station: 'diameter', dimension: 'plain', low: 0, high: 2 },
	grossMass: { station: 'moisture', dimension: 'mass', low: 1, high: 50_000 },
	tareMass: { station: 'moisture', dimension: 'mass', low: 1, high: 10_000 },
	overhangLastClean: { station: 'prints', dimension: 'angle', low: 0, high: 90, of: 'attempt' },
	overhangFirstFaulty: { station: 'prints', dimension: 'angle', low: 0, high: 90, of: 'attempt' },
	overhangAwayLastClean: { station: 'prints', dimension: 'angle', low: 0, high: 90, of: 'attempt' },
	overhangAwayFirstFaulty: { station: 'prints', dimension: 'angle', low: 0, high: 90, of: 'attempt' },
	bridgeLongestClean: { station: 'prints', dimension: 'length', low: 0, high: 500, of: 'attempt' },
	bridgeFirstFaulty: { station: 'prints', dimension: 'length', low: 0.1, high: 500, of: 'attempt' },
	strings: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: STRING_WORDS, of: 'attempt' },
	stringCount: { station: 'prints', dimension: 'count', low: 0, high: 10_000, of: 'attempt' },
	stringCoverage: { station: 'prints', dimension: 'share', low: 0, high: 100, of: 'attempt' },
	photoStrings: { station: 'prints', dimension: 'count', low: 0, high: 10_000, of: 'attempt' },
	photoQuality: { station: 'prints', dimension: 'plain', low: 0, high: 2, words: PHOTO_WORDS, of: 'attempt' },
	cleanFrom: { station: 'prints', dimension: 'temperature', low: 20, high: 500, of: 'attempt' },
	cleanTo: { station: 'prints', dimension: 'temperature', low: 20, high: 500, of: 'attempt' },
	loadEffort: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: LOAD_WORDS, of: 'attempt' },
	bridgeSag: { station: 'prints', dimension: 'length', low: 0, high: 100, of: 'attempt' },
	cornerLift: { station: 'prints', dimension: 'length', low: 0, high: 50, of: 'attempt' },
	smallestText: { station: 'prints', dimension: 'length', low: 0.1, high: 50, of: 'attempt' },
	sizeX: { station: 'prints', dimension: 'length', low: 0.1, high: 1000, of: 'attempt' },
	sizeY: { station: 'prints', dimension: 'length', low: 0.1, high: 1000, of: 'attempt' },
	sizeZ: { station: 'prints', dimension: 'length', low: 0.1, high: 1000, of: 'attempt' },
	bedHold: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: BED_WORDS, of: 'attempt' },
	supportRemoval: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: SUPPORT_WORDS, of: 'attempt' },
	printOdour: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: SEVERITY_WORDS, of: 'attempt' },
	...Object.fromEntries(
		SURFACE_FAULTS.map((fault): [string, ReadingQuantity] => [
			fault,
			{ station: 'prints', dimension: 'plain', low: 0, high: 3, words: SEVERITY_WORDS, of: 'attempt' }
		])
	),
	loadHeld: { station: 'strength', dimension: 'load', low: 0.01, high: 100_000, of: 'specimen' },
	loadBroke: { station: 'strength', dimension: 'load', low: 0.01, high: 100_000, of: 'specimen' },
	bucketMass: { station: 'strength', dimension: 'mass', low: 1, high: 100_000, of: 'specimen' },
	blowsHeld: { station: 'strength', dimension: 'count', low: 1, high: 10_000, of: 'specimen' },
	blowsBroke: { station: 'strength', dimension: 'count', low: 1, high: 10_000, of: 'specimen' },
	byHand: { station: 'strength', dimension: 'plain', low: 0, high: 3, words: BY_HAND_WORDS, of: 'specimen' },
	failure: { station: 'strength', dimension: 'plain', low: 0, high: 5, words: FAILURE_WORDS, of: 'specimen' },
	own: { station: 'own', dimension: 'plain', low: -1e9, high: 1e9 }
};
