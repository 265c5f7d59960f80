import { group } from 'd3-array';
import type { Attempt } from '../../../record/evidence/attempt';
import type { Reading } from '../../../record/evidence/reading';
import { readingsAt } from '../../../record/evidence/readings-at';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { settled } from '../../../record/evidence/settled';

/** A reading with a value, as every mark has one. */
export type Marked = Reading & { value: number };

/** Marks on some prints, by their quantity; marked invalid ones among them. */
export type MarksOn = ReadonlyMap<string, readonly Marked[]>;

/**
 * Finds the marks on any of a spool's prints, so that its readings are gone through once, not once a mark. Prints that do not count have none, nor have those whose settings were still being looked for.
 * @example marksFinder(evidence)(evidence.attempts).get('strings')?.length // 3
 */
export function marksFinder(evidence: Pick<SpoolEvidence, 'readings'>): (attempts: readonly Attempt[]) => MarksOn {
	const marks = readingsAt(evidence, 'prints').filter((r): r is Marked => r.attemptId !== null && r.value !== null);
	const byAttempt = group(marks, (r) => r.attemptId);
	return (attempts) =>
		group(
			attempts.filter(settled).flatMap((a) => byAttempt.get(a.id) ?? []),
			(r) => r.quantity
		);
}
