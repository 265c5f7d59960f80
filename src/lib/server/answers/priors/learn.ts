import { createHash } from 'node:crypto';
import { and, desc, eq, isNull, max } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { OwnMeasure } from '$lib/core/record/evidence/own-measure';
import { learnSet, type SuccessCell } from '$lib/core/judging/posterior/learn-set';
import type { RecordCell } from '$lib/core/judging/posterior/record-cell';
import { successCells } from '$lib/core/stations/prints/success/success-cells';
import { STATIONS } from '$lib/core/joins/registry';
import type { Basis } from '$lib/core/judging/trial/basis';
import { NEUTRAL_BASIS } from '$lib/core/judging/trial/neutral-basis';
import { CORE_VERSION } from '$lib/core/version';
import type { Database, Reader } from '../../base/db/client';
import { priorSet, server, spool, trial, trialSpool, verdict } from '../../base/db/schema';
import { loadEvidence } from '../../record/evidence/load';
import { loadHandbook } from '../../record/handbook/handbook';
import { asOwnMeasure, loadMeasures } from '../../record/own/measure';

/** So many spools are read at a time. */
const AT_ONCE = 40;

/**
 * Learns a new set of priors from the record, if there is more in it than the newest set was learnt from. Spools that are candidates of a trial
 * that is not decided yet teach nothing: a trial is never judged by what it found itself.
 * @returns the new set's id, or null where there was nothing new to learn
 */
export async function learnPriors(db: Database, now: number): Promise<string | null> {
	const spools = await teachingSpools(db);
	const learntFrom = createHash('sha256')
		.update(JSON.stringify([CORE_VERSION, ...spools.map((s) => `${s.id} ${s.revision}`)]))
		.digest('hex');
	const [here] = await db.select({ id: server.id }).from(server).limit(1);
	if (!here || spools.length === 0) return null;
	const [newest] = await db
		.select({ learntFrom: priorSet.learntFrom })
		.from(priorSet)
		.where(eq(priorSet.learntBy, here.id))
		.orderBy(desc(priorSet.number))
		.limit(1);
	if (newest?.learntFrom === learntFrom) return null;
	const basis: Basis = { ...NEUTRAL_BASIS, handbook: await loadHandbook(db), ownMeasures: await allMeasures(db) };
	const cells: RecordCell[] = [];
	const prints: SuccessCell[] = [];
	for (let from = 0; from < spools.length; from += AT_ONCE) {
		const ids = spools.slice(from, from + AT_ONCE).map((s) => s.id);
		for (const evidence of await loadEvidence(db, ids)) {
			cells.push(...cellsOf(evidence, basis));
			prints.push(...successCells(evidence, basis));
		}
	}
	const content = learnSet(cells, prints);
	if (content.marks.length + content.success.length === 0) return null;
	const id = v7();
	return await db.transaction(async (tx) => {
		const [highest] = await tx.select({ number: max(priorSet.number) }).from(priorSet);
		await tx.insert(priorSet).values({ id, number: (highest?.number ?? 0) + 1, learntBy: here.id, learntFrom, content, createdAt: now });
		return id;
	});
}

const cellsOf = (evidence: SpoolEvidence, basis: Basis): RecordCell[] => STATIONS.flatMap((s) => s.cells?.(evidence, basis) ?? []);

/** Spools that no open trial judges, in a fixed order. A reference row is not judged. */
async function teachingSpools(db: Reader): Promise<{ id: string; revision: number }[]> {
	const judged = await db
		.selectDistinct({ id: trialSpool.spoolId })
		.from(trialSpool)
		.innerJoin(trial, eq(trial.id, trialSpool.trialId))
		.leftJoin(verdict, eq(verdict.trialId, trial.id))
		.where(and(isNull(trialSpool.leftAt), eq(trialSpool.role, 'candidate'), isNull(verdict.id)));
	const open = new Set(judged.map((j) => j.id));
	const all = await db.select({ id: spool.id, revision: spool.revision }).from(spool).orderBy(spool.id);
	return all.filter((s) => !open.has(s.id));
}

async function allMeasures(db: Reader): Promise<OwnMeasure[]> {
	return (await loadMeasures(db)).map((m) => asOwnMeasure(m, true));
}
