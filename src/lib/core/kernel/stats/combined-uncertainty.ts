import { sum } from 'd3-array';
/** One component of an uncertainty budget: a standard uncertainty with its degrees of freedom (Infinity for a stated limit). */
export type UncertaintyComponent = { standardUncertainty: number; df: number };

/**
 * Root sum of squares of independent components with Welch-Satterthwaite effective degrees of freedom.
 * Source: JCGM 100:2008 (GUM), equations (10) and (G.2b). df is null when every component is zero.
 * @example combineUncertainties([{ standardUncertainty: 0.003, df: 9 }, { standardUncertainty: 0.004, df: Infinity }])
 * // { standardUncertainty: 0.005, df: 69.4 }
 */
export function combineUncertainties(components: readonly UncertaintyComponent[]): { standardUncertainty: number; df: number | null } {
	const squared = sum(components, (c) => c.standardUncertainty ** 2);
	if (squared === 0) return { standardUncertainty: 0, df: null };
	const fourth = sum(components, (c) => (Number.isFinite(c.df) ? c.standardUncertainty ** 4 / c.df : 0));
	return { standardUncertainty: Math.sqrt(squared), df: fourth === 0 ? Infinity : squared ** 2 / fourth };
}

/**
 * Standard uncertainty of a stated error limit +/-a taken as a rectangular distribution: a / sqrt(3).
 * Source: JCGM 100:2008, 4.3.7.
 * @param errorLimit half the width of the rectangle; what comes out is in its unit
 * @returns standard uncertainty, in the unit of the limit
 * @example rectangularUncertainty(0.02) // 0.011547
 */
export function rectangularUncertainty(errorLimit: number): number {
	return errorLimit / Math.sqrt(3);
}
