import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';

/**
 * Evidence already loaded, by spool. An entry is good while the record it was read from (its server, and the restore it came from), the
 * revision of its spool (raised in every writing transaction) and its blindness are those it was loaded under. Emptying it changes no number, only the time to read.
 */
const loaded = new Map<string, { key: string; evidence: SpoolEvidence }>();

/** About a thousand spools of a few hundred readings each are some hundred megabytes at most. */
const MOST = 400;

export const cacheKey = (record: string, revision: number, hidden: boolean): string =>
	`${record} ${revision} ${hidden ? 'hidden' : 'open'}`;

export function cachedEvidence(spoolId: string, key: string): SpoolEvidence | null {
	const entry = loaded.get(spoolId);
	return entry?.key === key ? entry.evidence : null;
}

export function rememberEvidence(key: string, evidence: SpoolEvidence): void {
	// The oldest entry goes first; Map keeps the order of insertion.
	loaded.delete(evidence.spool.id);
	if (loaded.size >= MOST) loaded.delete(loaded.keys().next().value ?? '');
	loaded.set(evidence.spool.id, { key, evidence });
}
