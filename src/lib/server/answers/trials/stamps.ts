import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { CORE_VERSION } from '$lib/core/version';
import type { Reader } from '../../base/db/client';
import {
	amendment,
	criteria,
	handbookEntry,
	ownMeasure,
	piece,
	priorSet,
	protocol,
	server,
	spool,
	trial,
	trialPriorSet,
	trialSpool,
	verdict
} from '../../base/db/schema';

/** Raised when what is kept changes its shape: an update reads nothing that the version before kept. */
const SHAPE = 2;

const hashOf = (of: unknown): string => createHash('sha256').update(JSON.stringify(of)).digest('hex');

/** What of the whole bench plays a part in every number. */
export async function benchStamp(db: Reader): Promise<unknown> {
	const [row] = await db
		.select({
			server: server.id,
			epoch: server.epoch,
			pieces: sql<number>`(SELECT COUNT(*) FROM ${piece})`,
			handbook: sql<number>`(SELECT COUNT(*) FROM ${handbookEntry})`,
			measures: sql<number>`(SELECT COUNT(*) FROM ${ownMeasure})`,
			// Spools outside trials are judged by the newest priors.
			priors: sql<number>`(SELECT COUNT(*) FROM ${priorSet})`,
			printers: sql<number>`(SELECT COUNT(*) FROM ${amendment} WHERE ${amendment.targetKind} IN ('printer', 'verdict', 'instrument', 'ownMeasure'))`
		})
		.from(server)
		.limit(1);
	return [SHAPE, CORE_VERSION, row];
}

/**
 * A stamp for each trial that is another one as soon as anything changed that its numbers rest on: its rules, weights, members, verdicts and
 * priors, and every spool in it. A few queries, however many trials. What day it is changes nothing: no finding knows it.
 */
export async function trialStamps(db: Reader): Promise<Map<string, string>> {
	const [bench, trials, rules, weights, members, verdicts, adopted, facts] = await Promise.all([
		benchStamp(db),
		db.select({ id: trial.id, revision: trial.revision }).from(trial),
		counted(db, protocol),
		counted(db, criteria),
		db
			.select({ id: trialSpool.trialId, n: sql<string>`CONCAT(COUNT(*), ' ', SUM(${spool.revision}), ' ', COUNT(${trialSpool.leftAt}))` })
			.from(trialSpool)
			.innerJoin(spool, sql`${spool.id} = ${trialSpool.spoolId}`)
			.groupBy(trialSpool.trialId),
		counted(db, verdict),
		counted(db, trialPriorSet),
		db
			.select({ id: amendment.targetId, n: sql<string>`COUNT(*)` })
			.from(amendment)
			.where(sql`${amendment.targetKind} = 'trial'`)
			.groupBy(amendment.targetId)
	]);
	const of = [rules, weights, members, verdicts, adopted, facts].map((rows) => new Map(rows.map((r) => [r.id, r.n])));
	return new Map(trials.map(({ id, revision }) => [id, hashOf([bench, id, revision, of.map((m) => m.get(id) ?? null)])]));
}

const counted = (db: Reader, table: typeof protocol | typeof criteria | typeof verdict | typeof trialPriorSet) =>
	db
		.select({ id: table.trialId, n: sql<string>`COUNT(*)` })
		.from(table)
		.groupBy(table.trialId);

/** The stamp of a spool in a list, of all that it rests on. */
export const spoolStamp = hashOf;
