import { numberOf, remembering } from '$lib/core/kernel/memo/remember';
import { basisKey } from '../findings/stations';
import type { TrialWhole } from './load';

/** Sheets, candidates and pictures of some trials that are looked at now; each a megabyte at most. */
const known = remembering<string, NonNullable<unknown>>(16);

/**
 * Computes something from a trial once, however many people ask for it: the same evidence, rules and weights give the same result, whenever
 * they are asked for. Evidence that is the same object is the same evidence: the evidence cache makes a new one when a spool changes. What comes out is shared and must not be changed.
 * @param what names the result and all it depends on beside spools and rules
 */
export const remembered = <T extends NonNullable<unknown>>(
	whole: Pick<TrialWhole, 'spools' | 'basis'>,
	what: string,
	compute: () => T
): T => known(`${what} ${whole.spools.map((s) => numberOf(s)).join(' ')} ${basisKey(whole.basis)}`, compute) as T;
