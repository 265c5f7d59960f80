import { tQuantile } from '../stats/distributions';
import { combineUncertainties } from '../stats/combined-uncertainty';
import { meanInterval } from '../stats/mean-interval';
import type { Interval, Sampling } from './types';

type Range = { low: number; high: number };

/** What repeats of one thing say: the mean, and how the pick may draw the true one. */
export type FromValues = { estimate: number; n: number; interval: Interval | null; sampling: Sampling };

type Known = {
	/** Scatter between repeats known from elsewhere; used for a single value only. */
	borrowed?: { sd: number; df: number } | null;
	/** Standard uncertainty that more values do not average out: a shift that was taken off, the width of a step. */
	also?: number;
	/** What the quantity can be at all; an interval does not reach beyond it. */
	within?: Range | null;
	/** What a single value may stand for where no scatter is lent; `shown` where that is an interval to be shown. */
	alone: Range & { shown: boolean };
};

/**
 * Mean of repeats with its interval: by their own scatter, for a single value by scatter that is lent, else bounds only.
 * @param values in the unit of the quantity, one a repeat
 * @returns null without a value
 * Source: ISO 2602; JCGM 100 (GUM), G.4 where a further uncertainty is combined; bounds of a single value are common practice, no source.
 * @example findFromValues([1, 2, 3], { alone: { low: 0, high: 4, shown: false } })?.interval?.low // -0.484
 */
export function findFromValues(values: readonly number[], { borrowed = null, also = 0, within = null, alone }: Known): FromValues | null {
	const over = meanInterval(values);
	if (over.mean === null) return null;
	const { mean: estimate, n } = over;
	const scatter = over.standardError !== null ? { se: over.standardError, df: over.df } : borrowed && { se: borrowed.sd, df: borrowed.df };
	if (!scatter) {
		const { low, high, shown } = alone;
		return {
			estimate,
			n,
			interval: shown ? { low, high, level: null, kind: 'bounds' } : null,
			sampling: { kind: 'bounds', low, high }
		};
	}
	const { standardError, df } = withFurther(scatter, also);
	const half = tQuantile(0.975, df ?? Infinity) * standardError;
	return {
		estimate,
		n,
		interval: {
			low: Math.max(within?.low ?? -Infinity, estimate - half),
			high: Math.min(within?.high ?? Infinity, estimate + half),
			level: 0.95,
			kind: 'confidence'
		},
		sampling: { kind: 't', mean: estimate, standardError, df }
	};
}

/** Degrees of freedom are null where the further uncertainty outweighs the scatter. */
function withFurther({ se, df }: { se: number; df: number }, also: number): { standardError: number; df: number | null } {
	const combined = combineUncertainties([
		{ standardUncertainty: se, df },
		{ standardUncertainty: also, df: Infinity }
	]);
	return { standardError: combined.standardUncertainty, df: combined.df !== null && Number.isFinite(combined.df) ? combined.df : null };
}
