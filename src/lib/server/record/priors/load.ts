import { and, desc, eq, isNotNull } from 'drizzle-orm';
import { NO_RECORD, type PriorSet } from '$lib/core/judging/posterior/prior-set';
import type { Reader } from '../../base/db/client';
import { priorSet, server, trialPriorSet } from '../../base/db/schema';
import { isValidRow } from '../rows/row-schema';

/** Sets never change, so each is read and looked at once. */
const read = new Map<string, PriorSet>();

/** The set of priors a trial is judged by; the assumptions of the house where it has adopted none. */
export async function priorsOfTrial(db: Reader, trialId: string): Promise<PriorSet> {
	const [adopted] = await db
		.select({ id: trialPriorSet.priorSetId })
		.from(trialPriorSet)
		.where(eq(trialPriorSet.trialId, trialId))
		.orderBy(desc(trialPriorSet.seq))
		.limit(1);
	return adopted ? await readSet(db, adopted.id) : NO_RECORD;
}

/** The last time that a newly adopted set put another spool first in a trial. */
export async function lastTurn(db: Reader, trialId: string): Promise<{ number: number; before: string; after: string; at: number } | null> {
	const [turn] = await db
		.select({ number: priorSet.number, before: trialPriorSet.firstBefore, after: trialPriorSet.firstAfter, at: trialPriorSet.createdAt })
		.from(trialPriorSet)
		.innerJoin(priorSet, eq(priorSet.id, trialPriorSet.priorSetId))
		.where(and(eq(trialPriorSet.trialId, trialId), isNotNull(trialPriorSet.firstAfter)))
		.orderBy(desc(trialPriorSet.seq))
		.limit(1);
	return turn?.before && turn.after ? { ...turn, before: turn.before, after: turn.after } : null;
}

/** The newest set that was learnt here. */
export async function newestPriors(db: Reader): Promise<PriorSet> {
	const [newest] = await db
		.select({ id: priorSet.id })
		.from(priorSet)
		.innerJoin(server, eq(server.id, priorSet.learntBy))
		.orderBy(desc(priorSet.number), desc(priorSet.createdAt))
		.limit(1);
	return newest ? await readSet(db, newest.id) : NO_RECORD;
}

async function readSet(db: Reader, id: string): Promise<PriorSet> {
	const known = read.get(id);
	if (known) return known;
	const [row] = await db.select().from(priorSet).where(eq(priorSet.id, id));
	// A set that is damaged teaches nothing: what the house assumes is honest, a broken number is not.
	if (!row || !isValidRow('prior-sets', row)) return NO_RECORD;
	const set: PriorSet = { id, number: row.number, ...row.content };
	read.set(id, set);
	return set;
}
