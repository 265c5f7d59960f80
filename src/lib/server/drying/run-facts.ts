import { and, asc, eq, inArray } from 'drizzle-orm';
import { inForce, type Amendment } from '$lib/core/amendments/apply';
import type { Reader } from '../db/client';
import { amendment } from '../db/schema';
import { groupBy } from '../evidence/group';

/** What of a run was put right later; what was not is left out. */
export type RunFacts = { startedAt?: number; plannedEndAt?: number; endedAt?: number; setPointC?: number };

export type CorrectedRun = { facts: RunFacts; last: { id: string; reason: string } };

/** Runs that were put right, by their id, with the correction made last. */
export async function correctedRuns(db: Reader, runIds: readonly string[]): Promise<Map<string, CorrectedRun>> {
	if (runIds.length === 0) return new Map();
	const rows = await db
		.select()
		.from(amendment)
		.where(and(eq(amendment.targetKind, 'dryingRun'), inArray(amendment.targetId, [...new Set(runIds)])))
		.orderBy(asc(amendment.at), asc(amendment.id));
	return new Map(
		[...groupBy(rows, (r) => r.targetId)].flatMap(([id, all]) => {
			const standing = inForce(all as Amendment[]);
			const last = standing.at(-1);
			const facts = standing.reduce<RunFacts>((so, a) => ({ ...so, ...(a.replacement as RunFacts) }), {});
			return last ? [[id, { facts, last: { id: last.id, reason: last.reason } }] as const] : [];
		})
	);
}
