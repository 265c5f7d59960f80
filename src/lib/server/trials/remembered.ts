import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';
import { basisKey } from '../evidence/stations';
import type { TrialWhole } from './load';

/** Evidence that is the same object is the same evidence: the evidence cache makes a new one when a spool changes. */
const numbers = new WeakMap<SpoolEvidence, number>();
let last = 0;
function numberOf(evidence: SpoolEvidence): number {
	let number = numbers.get(evidence);
	if (number === undefined) numbers.set(evidence, (number = ++last));
	return number;
}

/** What was computed from whole trials, the one used longest ago first. */
const known = new Map<string, unknown>();
/** Sheets, candidates and pictures of some trials that are looked at now; each a megabyte at most. */
const MOST = 24;

/**
 * Computes something from a trial once, however many people ask for it: the same evidence, rules and weights give the same result, whenever
 * they are asked for. What comes out is shared and must not be changed.
 * @param what names the result and all it depends on beside spools and rules
 */
export function remembered<T>(whole: Pick<TrialWhole, 'spools' | 'basis'>, what: string, compute: () => T): T {
	const key = `${what} ${whole.spools.map(numberOf).join(' ')} ${basisKey(whole.basis)}`;
	const result = known.has(key) ? (known.get(key) as T) : compute();
	known.delete(key);
	known.set(key, result);
	if (known.size > MOST) known.delete(known.keys().next().value ?? '');
	return result;
}
