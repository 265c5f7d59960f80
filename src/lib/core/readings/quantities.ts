import type { Dimension } from '../units/dimension';

export type ReadingQuantity = {
	station: string;
	dimension: Dimension;
	/** Hard limits in the canonical unit: outside them a value cannot be what was meant. */
	low: number;
	high: number;
	/** An ordinal mark: the typed word's place in this list is the value. */
	words?: readonly string[];
};

export const STRING_WORDS = ['none', 'wisp', 'slight', 'heavy'] as const;

/** Every quantity a raw reading can have, with the station it belongs to and what is believable. */
export const READING_QUANTITIES: Record<string, ReadingQuantity> = {
	diameter: { station: 'diameter', dimension: 'length', low: 0.5, high: 5 },
	grossMass: { station: 'intake', dimension: 'mass', low: 1, high: 50_000 },
	tareMass: { station: 'intake', dimension: 'mass', low: 1, high: 10_000 },
	overhangLastClean: { station: 'prints', dimension: 'angle', low: 0, high: 90 },
	overhangFirstFaulty: { station: 'prints', dimension: 'angle', low: 0, high: 90 },
	bridgeLongestClean: { station: 'prints', dimension: 'length', low: 0, high: 500 },
	bridgeFirstFaulty: { station: 'prints', dimension: 'length', low: 0.1, high: 500 },
	strings: { station: 'prints', dimension: 'plain', low: 0, high: 3, words: STRING_WORDS },
	own: { station: 'own', dimension: 'plain', low: -1e9, high: 1e9 }
};
