import { asc, eq, inArray } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { DRYER_FACTS, type DryerFacts } from '$lib/core/record/facts/dryer-facts';
import type { DRYING_OUTCOMES } from '$lib/core/record/lists/closed-lists';
import { dryerBody, type dryerFactsBody, type dryingEndBody, type DryingRunBody } from '$lib/schemas/drying';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import type { Database, Transaction } from '../../base/db/client';
import { dryer, dryingRun, dryingRunEnd, dryingRunSpool, event, spool } from '../../base/db/schema';
import type { DryingDetail } from '../../record/evidence/load-events';
import { readFacts } from '../../record/facts/read-facts';
import { amendFacts, withFacts } from '../../record/facts/facts';
import { problem, refuse, refuseField } from '../../base/problem';
import { raiseRevision, raiseSpoolsDriedIn } from '../../record/revisions/revisions';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';
import { checkRun } from './check-run';

type DryingOutcome = (typeof DRYING_OUTCOMES)[number];
type Kept<T> = Promise<{ answer: T; repeated: boolean }>;

export async function postDryer(db: Database, body: z.output<typeof dryerBody>, now: number): Kept<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'dryer', body, now }, async (tx) => {
		const { facts, errors } = readDryer(body);
		if (errors.length > 0) throw refuse(errors);
		await tx.insert(dryer).values({ ...facts, id: body.id, name: body.name, createdAt: now });
		return { id: body.id };
	});
}

/** Puts right what a dryer is called, and how low and high it goes. */
export async function postDryerFacts(db: Database, body: z.output<typeof dryerFactsBody>, now: number): Kept<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'dryerFacts', body, now }, async (tx) => {
		const [stands] = await withFacts(tx, 'dryer', await tx.select().from(dryer).where(eq(dryer.id, body.dryerId)).for('update'));
		if (!stands) throw refuseField('dryerId', 'unknownId', { what: 'dryer' });
		const { facts, errors } = readDryer(body, stands);
		if (errors.length > 0) throw refuse(errors);
		await amendFacts(tx, 'dryer', { id: stands.id, facts, now });
		await raiseSpoolsDriedIn(tx, stands.id);
		return { id: body.id };
	});
}

/** What is said of a dryer, and what is wrong with it, beside what stands. */
function readDryer(body: Readonly<Record<string, unknown>>, stands: Partial<DryerFacts> = {}) {
	const errors: FieldError[] = [];
	const facts = readFacts(DRYER_FACTS, body, errors);
	const { setPointLowC: low = null, setPointHighC: high = null } = { ...stands, ...facts };
	if (errors.length === 0 && low !== null && high !== null && high < low)
		errors.push(fieldError(facts.setPointHighC === undefined ? 'setPointLow' : 'setPointHigh', 'lowestAboveHighest'));
	return { facts, errors };
}

/** What else is wrong with a dryer whose body was refused, such as for its name. */
export const dryerFaultsBeside = (body: unknown): FieldError[] => readDryer(readableFields(dryerBody, body)).errors;

/** Starts a run with its timer, or records one that is over. */
export async function postDryingRun(
	db: Database,
	body: DryingRunBody,
	now: number
): Kept<{ id: string; startedAt: number; plannedEndAt: number; setPointC: number }> {
	return await writeOnce(db, { id: body.id, kind: 'dryingRun', body, now }, async (tx) => {
		// Held before it is looked where they are: a spool is in one dryer, however quickly two are started.
		await tx.select({ id: spool.id }).from(spool).where(inArray(spool.id, body.spoolIds)).orderBy(asc(spool.id)).for('update');
		const { run: checked, errors } = await checkRun(tx, body, now);
		const { setPointC, minutes, startedAt, endedAt } = checked;
		if (errors.length > 0 || setPointC === null || minutes === null) throw refuse(errors);
		const spoolIds = [...new Set(body.spoolIds)];
		const plannedEndAt = startedAt + minutes * 60_000;
		await tx
			.insert(dryingRun)
			.values({ id: body.id, dryerId: body.dryerId, setPointC, startedAt, plannedEndAt, zone: body.zone, createdAt: now });
		await tx.insert(dryingRunSpool).values(spoolIds.map((spoolId) => ({ runId: body.id, spoolId })));
		// What is printed from it while it runs is dried.
		for (const spoolId of spoolIds) await raiseRevision(tx, spoolId);
		if (endedAt !== null) {
			const run = { id: body.id, dryerId: body.dryerId, startedAt, setPointC };
			await endRun(tx, run, spoolIds, { endedAt, outcome: 'done', zone: body.zone, now });
		}
		return { id: body.id, startedAt, plannedEndAt, setPointC };
	});
}

/** Ends a run. One that was done dries its spools from that moment on; a void one changes nothing. */
export async function postDryingEnd(
	db: Database,
	body: z.output<typeof dryingEndBody>,
	now: number
): Kept<{ runId: string; endedAt: number; spools: number }> {
	return await writeOnce(db, { id: body.id, kind: 'dryingEnd', body, now }, async (tx) => {
		const endedAt = pastInstant(body.at, now, 'at');
		const [run] = await tx.select().from(dryingRun).where(eq(dryingRun.id, body.runId)).for('update');
		if (!run) throw refuseField('runId', 'unknownId', { what: 'run' });
		if (endedAt < run.startedAt) throw refuseField('at', 'beforeDrying');
		const [ended] = await tx.select().from(dryingRunEnd).where(eq(dryingRunEnd.runId, run.id));
		if (ended) throw problem(409, 'runEnded', {}, [fieldError('runId', 'runEnded')]);
		const members = await tx.select().from(dryingRunSpool).where(eq(dryingRunSpool.runId, run.id));
		const spoolIds = members.map((m) => m.spoolId);
		await endRun(tx, run, spoolIds, { endedAt, outcome: body.outcome, zone: body.zone, now });
		return { runId: run.id, endedAt, spools: body.outcome === 'void' ? 0 : spoolIds.length };
	});
}

type Run = Pick<typeof dryingRun.$inferSelect, 'id' | 'dryerId' | 'startedAt' | 'setPointC'>;
type RunEnd = { endedAt: number; outcome: DryingOutcome; zone: string; now: number };

async function endRun(tx: Transaction, run: Run, spoolIds: string[], { endedAt, outcome, zone, now }: RunEnd): Promise<void> {
	await tx.insert(dryingRunEnd).values({ runId: run.id, endedAt, outcome, zone, createdAt: now });
	for (const spoolId of spoolIds) await raiseRevision(tx, spoolId);
	if (outcome === 'void') return;
	const detail: DryingDetail = { runId: run.id, startedAt: run.startedAt, setPointC: run.setPointC };
	for (const spoolId of spoolIds)
		await tx.insert(event).values({ id: v7(), spoolId, kind: 'dried', at: endedAt, zone, dryerId: run.dryerId, detail, createdAt: now });
}
