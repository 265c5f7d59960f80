import { FAILURE_KINDS } from '../../../record/lists/closed-lists';
import type { Attempt, FailureCause } from '../../../record/evidence/attempt';
import { settled } from '../../../record/evidence/settled';
import type { FailureRule } from '../../../judging/trial/protocol';
import type { Missing } from '../../../judging/finding/types';

/** What is wanted while nothing was printed at all. */
export const ANY_PRINT: Missing = { action: 'printPiece', station: 'prints', count: 1, minutes: 60, params: { pieceId: null } };

export type Outcomes = {
	finished: number;
	/** Failures charged to the filament: the only ones that count against it. */
	failed: number;
	/** Failures of the printer, set-up, handling or of unknown cause: shown, never counted. */
	notCounted: number;
	/** What those were charged to. */
	notCountedCauses: FailureCause[];
	/** How prints failed, whatever it was charged to; where nobody said, nothing. */
	kinds: { kind: (typeof FAILURE_KINDS)[number]; count: number }[];
	/** Prints while the settings were still being found: apart from all others. */
	tuning: number;
	/** Share of the print that each counted failure had laid down when it stopped, 0 to 1. */
	reached: number[];
	counted: Attempt[];
	/** How many attempts it took until one was finished, the last one included; null before the first success. */
	firstSuccess: number | null;
};

/**
 * Sorts attempts by what they say of the filament.
 * Rule (common practice, no source): only failures charged to the filament count; a failure of unknown cause, or provoked on purpose, counts for nobody, unless the
 * trial says otherwise. Prints by which the settings were found are apart; what was of no use came to its end and failed all the same.
 * @example outcomes([finished, failedByFilamentAt40, failedByPrinter]) // { finished: 1, failed: 1, notCounted: 1, reached: [0.4] }
 */
export function outcomes(attempts: readonly Attempt[], rule: FailureRule = 'filament'): Outcomes {
	const valid = attempts.filter(settled);
	const finished = valid.filter((a) => a.outcome === 'finished');
	const failed = valid.filter((a) => a.outcome !== 'finished' && (a.cause === 'filament' || (rule === 'unknown' && a.cause === 'unknown')));
	return {
		finished: finished.length,
		failed: failed.length,
		notCounted: valid.length - finished.length - failed.length,
		notCountedCauses: [...new Set(valid.flatMap((a) => (a.cause === null || failed.includes(a) ? [] : [a.cause])))],
		kinds: FAILURE_KINDS.flatMap((kind) => {
			const count = valid.filter((a) => a.failure === kind).length;
			return count === 0 ? [] : [{ kind, count }];
		}),
		tuning: attempts.filter((a) => a.status === 'counts' && a.tuning).length,
		reached: failed.map((a) => a.percentReached / 100),
		counted: [...finished, ...failed],
		firstSuccess: firstSuccess([...finished, ...failed])
	};
}

function firstSuccess(counted: readonly Attempt[]): number | null {
	const at = [...counted].sort((a, b) => a.at - b.at).findIndex((a) => a.outcome === 'finished');
	return at < 0 ? null : at + 1;
}
