import type { ReadingQuantity } from '../../record/readings/reading-quantity';

const CALIBRATION = { station: 'calibration' } as const;

/** What a calibration is noted as, beside flow ratio and pressure advance, which earlier records have under the station of diameter; limits are hard ones. */
export const CALIBRATION_READINGS = {
	calibratedNozzleC: { ...CALIBRATION, dimension: 'temperature', low: 120, high: 500 },
	calibratedRetraction: { ...CALIBRATION, dimension: 'length', low: 0, high: 20 },
	highestFlow: { ...CALIBRATION, dimension: 'plain', low: 0.5, high: 100 }
} as const satisfies Record<string, ReadingQuantity>;
