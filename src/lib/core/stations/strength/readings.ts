import type { ReadingQuantity } from '../../record/readings/reading-quantity';
import { BY_HAND_WORDS, DAMAGE_WORDS, FAILURE_WORDS } from './words';

const SPECIMEN = { station: 'strength', of: 'specimen' } as const;

export const STRENGTH_READINGS = {
	loadHeld: { ...SPECIMEN, dimension: 'load', low: 0.01, high: 100_000 },
	loadBroke: { ...SPECIMEN, dimension: 'load', low: 0.01, high: 100_000 },
	bucketMass: { ...SPECIMEN, dimension: 'mass', low: 1, high: 100_000 },
	blowsHeld: { ...SPECIMEN, dimension: 'count', low: 1, high: 10_000 },
	blowsBroke: { ...SPECIMEN, dimension: 'count', low: 1, high: 10_000 },
	byHand: { ...SPECIMEN, dimension: 'plain', low: 0, high: BY_HAND_WORDS.length - 1, words: BY_HAND_WORDS },
	failure: { ...SPECIMEN, dimension: 'plain', low: 0, high: FAILURE_WORDS.length - 1, words: FAILURE_WORDS },
	damage: { ...SPECIMEN, dimension: 'plain', low: 0, high: DAMAGE_WORDS.length - 1, words: DAMAGE_WORDS }
} as const satisfies Record<string, ReadingQuantity>;
