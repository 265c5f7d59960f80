import { sum } from 'd3-array';
import type { Attempt } from '../evidence/attempt';
import type { FailureRule } from '../trial/protocol';
import type { Missing } from '../finding/types';

/** What is wanted while nothing was printed at all. */
export const ANY_PRINT: Missing = { action: 'printPiece', station: 'prints', count: 1, minutes: 60, params: { pieceId: null } };

export type Outcomes = {
	finished: number;
	/** Failures charged to the filament: the only ones that count against it. */
	failed: number;
	/** Failures of the printer, set-up, handling or of unknown cause: shown, never counted. */
	notCounted: number;
	/** Mean share of the print that the counted failures had laid down when they stopped; null without one. */
	wasteShare: number | null;
	counted: Attempt[];
	/** How many attempts it took until one was finished, the last one included; null before the first success. */
	firstSuccess: number | null;
};

/**
 * Sorts attempts by what they say of the filament.
 * Rule (common practice, no source): only failures charged to the filament count; a failure of unknown cause counts for nobody, unless the
 * trial says otherwise.
 * @example outcomes([finished, failedByFilamentAt40, failedByPrinter]) // { finished: 1, failed: 1, notCounted: 1, wasteShare: 0.4 }
 */
export function outcomes(attempts: readonly Attempt[], rule: FailureRule = 'filament'): Outcomes {
	const valid = attempts.filter((a) => a.status === 'counts');
	const finished = valid.filter((a) => a.outcome === 'finished');
	const failed = valid.filter((a) => a.outcome === 'failed' && (a.cause === 'filament' || (rule === 'unknown' && a.cause === 'unknown')));
	return {
		finished: finished.length,
		failed: failed.length,
		notCounted: valid.length - finished.length - failed.length,
		wasteShare: failed.length === 0 ? null : sum(failed, (a) => a.percentReached) / failed.length / 100,
		counted: [...finished, ...failed],
		firstSuccess: firstSuccess([...finished, ...failed])
	};
}

function firstSuccess(counted: readonly Attempt[]): number | null {
	const at = [...counted].sort((a, b) => a.at - b.at).findIndex((a) => a.outcome === 'finished');
	return at < 0 ? null : at + 1;
}
