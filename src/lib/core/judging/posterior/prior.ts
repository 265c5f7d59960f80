/** What is expected of a cell (one spool, one piece, one state) before it is looked at, on the model's scale. */
export type CellPrior = {
	/** Scatter of single values around the cell's mean: about `sd`, as sure of it as `df` further values would make one. */
	scatter: { sd: number; df: number };
	/** Where means of such spools lie: around `centre`, mostly within `spread`, with heavy tails. */
	mean: { centre: number; spread: number };
};

/** Degrees of freedom of the means' t law: an unusual spool is not drawn to the others (common practice, no source). */
export const MEAN_DF = 4;

/**
 * Logarithm of the scatter's density over its logarithm, but for a constant: scaled inverse chi-square.
 * Source: Gelman et al., Bayesian Data Analysis; the moderated variance of Smyth 2004, Stat. Appl. Genet. Mol. Biol. 3.
 * @param sd a scatter, in the unit of the prior's
 * @returns log density, no unit
 * @example logScatterDensity({ sd: 2, df: 3 }, 2) // -1.5
 */
export function logScatterDensity(scatter: CellPrior['scatter'], sd: number): number {
	const ratio = (scatter.sd / sd) ** 2;
	return (scatter.df / 2) * (Math.log(ratio) - ratio);
}

/**
 * Logarithm of the mean's density, but for a constant: Student's t around the centre.
 * @param mean in the unit of the prior
 * @returns log density, no unit
 * @example logMeanDensity({ centre: 50, spread: 10 }, 50) // 0
 */
export function logMeanDensity(of: CellPrior['mean'], mean: number): number {
	return (-(MEAN_DF + 1) / 2) * Math.log1p(((mean - of.centre) / of.spread) ** 2 / MEAN_DF);
}
