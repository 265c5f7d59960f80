import { inForce } from '$lib/core/record/amendments/apply';
import type { Reader } from '../../base/db/client';
import { dryer } from '../../base/db/schema';
import { factsOf, withFacts } from '../facts/facts';

/** What dryers are called now, by their ids. */
export async function dryerNames(db: Reader): Promise<Map<string, string>> {
	const rows = await withFacts(db, 'dryer', await db.select().from(dryer));
	return new Map(rows.map(({ id, name }) => [id, name]));
}

/** What of a run was put right later; what was not is left out. */
export type RunFacts = { startedAt?: number; plannedEndAt?: number; endedAt?: number; setPointC?: number };

export type CorrectedRun = { facts: RunFacts; last: { id: string; reason: string } };

/** Runs that were put right, by their id, with the correction made last. */
export async function correctedRuns(db: Reader, runIds: readonly string[]): Promise<Map<string, CorrectedRun>> {
	return new Map(
		[...(await factsOf(db, 'dryingRun', runIds))].flatMap(([id, all]) => {
			const standing = inForce(all);
			const last = standing.at(-1);
			const facts = standing.reduce<RunFacts>((so, a) => ({ ...so, ...(a.replacement as RunFacts) }), {});
			return last ? [[id, { facts, last: { id: last.id, reason: last.reason } }] as const] : [];
		})
	);
}
