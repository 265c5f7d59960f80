import type { ReadingQuantity } from '../../record/readings/reading-quantity';

/** A measure of the tester's own: what is believable of it, only he knows. */
export const OWN_READINGS = {
	own: { station: 'own', dimension: 'plain', low: -1e9, high: 1e9 }
} as const satisfies Record<string, ReadingQuantity>;
