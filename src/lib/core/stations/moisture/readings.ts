import type { ReadingQuantity } from '../../record/readings/reading-quantity';

export const MOISTURE_READINGS = {
	grossMass: { station: 'moisture', dimension: 'mass', low: 1, high: 50_000 },
	tareMass: { station: 'moisture', dimension: 'mass', low: 1, high: 10_000 }
} as const satisfies Record<string, ReadingQuantity>;
