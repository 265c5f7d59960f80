import type { ReadingQuantity } from '../../record/readings/reading-quantity';

export const DIAMETER_READINGS = {
	diameter: { station: 'diameter', dimension: 'length', low: 0.5, high: 5 },
	calibratedFlow: { station: 'diameter', dimension: 'plain', low: 0.3, high: 2 },
	pressureAdvance: { station: 'diameter', dimension: 'plain', low: 0, high: 2 }
} as const satisfies Record<string, ReadingQuantity>;
