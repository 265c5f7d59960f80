import { rectangularUncertainty } from '../stats/combined-uncertainty';

/**
 * Standard uncertainty of a length instrument: its stated error limit and half a step of its display, both rectangular.
 * Source: JCGM 100:2008, 4.3.7 and F.2.2.1.
 * @example instrumentUncertainty(0.02, 0.01) // 0.0119 mm
 */
export function instrumentUncertainty(errorLimitMm: number, resolutionMm: number): number {
	return Math.hypot(rectangularUncertainty(errorLimitMm), rectangularUncertainty(resolutionMm / 2));
}
