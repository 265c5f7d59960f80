import { asc, desc, eq, inArray, isNull } from 'drizzle-orm';
import type { DryingRun } from '$lib/schemas/drying';
import type { Reader } from '../../base/db/client';
import { dryingRun, dryingRunEnd, dryingRunSpool, filament, spool } from '../../base/db/schema';
import { groupBy } from '../../base/group';
import { correctedRuns, dryerNames } from '../../record/drying/run-facts';

/** Runs that nobody has ended yet, the one due first in front. What their timers show follows from these moments alone. */
export async function runningRuns(db: Reader): Promise<DryingRun[]> {
	const rows = await runs(db).where(isNull(dryingRunEnd.runId)).orderBy(asc(dryingRun.plannedEndAt), asc(dryingRun.id));
	return await withSpools(db, rows);
}

/** The latest runs of spools, newest first, running ones too. */
export async function runsOf(db: Reader, spoolIds: string[]): Promise<DryingRun[]> {
	if (spoolIds.length === 0) return [];
	const ids = await db.selectDistinct({ id: dryingRunSpool.runId }).from(dryingRunSpool).where(inArray(dryingRunSpool.spoolId, spoolIds));
	if (ids.length === 0) return [];
	const rows = await runs(db)
		.where(
			inArray(
				dryingRun.id,
				ids.map((r) => r.id)
			)
		)
		.orderBy(desc(dryingRun.startedAt), desc(dryingRun.id))
		.limit(200);
	return await withSpools(db, rows);
}

function runs(db: Reader) {
	return db
		.select({ run: dryingRun, end: dryingRunEnd })
		.from(dryingRun)
		.leftJoin(dryingRunEnd, eq(dryingRunEnd.runId, dryingRun.id))
		.$dynamic();
}

async function withSpools(
	db: Reader,
	rows: { run: typeof dryingRun.$inferSelect; end: typeof dryingRunEnd.$inferSelect | null }[]
): Promise<DryingRun[]> {
	if (rows.length === 0) return [];
	const members = await db
		.select({ runId: dryingRunSpool.runId, id: spool.id, code: spool.benchCode, material: filament.material })
		.from(dryingRunSpool)
		.innerJoin(spool, eq(spool.id, dryingRunSpool.spoolId))
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.where(
			inArray(
				dryingRunSpool.runId,
				rows.map((r) => r.run.id)
			)
		)
		.orderBy(asc(spool.benchCode));
	const of = groupBy(members, (m) => m.runId);
	const [dryers, corrected] = await Promise.all([
		dryerNames(db),
		correctedRuns(
			db,
			rows.map((r) => r.run.id)
		)
	]);
	return rows.map(({ run: raw, end }) => {
		const name = dryers.get(raw.dryerId) ?? '';
		const right = corrected.get(raw.id);
		const run = { ...raw, ...right?.facts };
		return {
			id: run.id,
			dryer: name,
			setPointC: run.setPointC,
			startedAt: run.startedAt,
			plannedEndAt: run.plannedEndAt,
			spools: (of.get(run.id) ?? []).map(({ id, code, material }) => ({ id, code, material })),
			end: end ? { at: right?.facts.endedAt ?? end.endedAt, outcome: end.outcome } : null,
			corrected: right?.last ?? null
		};
	});
}
