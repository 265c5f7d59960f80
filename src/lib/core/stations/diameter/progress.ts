import type { SpoolEvidence } from '../../record/evidence/spool-evidence';

/** How far the diameter of a spool is: readings that count, and metres of a gauge's log that counts; null without one. */
export type DiameterProgress = { counted: number; loggedM: number | null };

/**
 * @example diameterProgress(evidence) // { counted: 10, loggedM: null }
 */
export function diameterProgress(evidence: Pick<SpoolEvidence, 'readings' | 'logs'>): DiameterProgress {
	const log = evidence.logs.find((l) => l.status === 'counts');
	return {
		counted: evidence.readings.filter((r) => r.quantity === 'diameter' && r.status === 'counts').length,
		loggedM: log ? log.summary.toM - log.summary.fromM : null
	};
}

/**
 * The first spool that still wants readings, else the first; null where there is none.
 * @param perSpool readings asked for of each spool
 * @returns its place in the list
 * @example firstUnmeasured([{ counted: 10, loggedM: null }, { counted: 3, loggedM: null }], 10) // 1
 */
export function firstUnmeasured(progress: readonly DiameterProgress[], perSpool: number): number | null {
	if (progress.length === 0) return null;
	return Math.max(
		0,
		progress.findIndex((p) => p.counted < perSpool && p.loggedM === null)
	);
}
