import { instrumentUncertainty } from './instrument-uncertainty';

export type Decidability = { standardUncertaintyMm: number; shareOfTolerance: number; able: 'able' | 'marginal' | 'unable' };

/**
 * Whether an instrument can decide a tolerance at all, before any reading.
 * able: standard uncertainty at most a tenth of the tolerance; marginal: at most a quarter; unable: above.
 * Source: rule of thumb "a quarter, better a tenth" (reference: JCGM 106, ISO 14253-1); error limit taken as rectangular (GUM 4.3.7).
 * @param resolutionMm adds a rectangular half-step to the budget
 * @example decidability(0.02, 0.01, 0.02) // { standardUncertaintyMm: 0.0119, shareOfTolerance: 0.595, able: 'unable' }
 */
export function decidability(errorLimitMm: number, resolutionMm: number, toleranceMm: number): Decidability {
	const standardUncertaintyMm = instrumentUncertainty(errorLimitMm, resolutionMm);
	const shareOfTolerance = standardUncertaintyMm / toleranceMm;
	return {
		standardUncertaintyMm,
		shareOfTolerance,
		able: shareOfTolerance <= 0.1 ? 'able' : shareOfTolerance <= 0.25 ? 'marginal' : 'unable'
	};
}
