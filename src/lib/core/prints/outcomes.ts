import type { Attempt } from '../evidence';

export type Outcomes = {
	finished: number;
	/** Failures charged to the filament: the only ones that count against it. */
	failed: number;
	/** Failures of the printer, set-up, handling or of unknown cause: shown, never counted. */
	notCounted: number;
	/** Mean share of the print that the counted failures had laid down when they stopped; null without one. */
	wasteShare: number | null;
	counted: Attempt[];
};

/**
 * Sorts attempts by what they say of the filament.
 * Rule (common practice, no source): only failures charged to the filament count; a failure of unknown cause counts for nobody.
 * @example outcomes([finished, failedByFilamentAt40, failedByPrinter]) // { finished: 1, failed: 1, notCounted: 1, wasteShare: 0.4 }
 */
export function outcomes(attempts: readonly Attempt[]): Outcomes {
	const valid = attempts.filter((a) => a.status === 'counts');
	const finished = valid.filter((a) => a.outcome === 'finished');
	const failed = valid.filter((a) => a.outcome === 'failed' && a.cause === 'filament');
	return {
		finished: finished.length,
		failed: failed.length,
		notCounted: valid.length - finished.length - failed.length,
		wasteShare: failed.length === 0 ? null : failed.reduce((sum, a) => sum + a.percentReached, 0) / failed.length / 100,
		counted: [...finished, ...failed]
	};
}
