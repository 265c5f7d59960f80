import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { dryingFactsBody } from '$lib/schemas/drying';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Transaction } from '../db/client';
import { dryingRun, dryingRunEnd, dryingRunSpool } from '../db/schema';
import { amendFacts } from '../facts/facts';
import { refuse, refuseField } from '../problem';
import { pastInstant } from '../time';
import { raiseRevision } from '../write/revisions';
import { writeOnce } from '../write/write-once';
import { correctedRuns, type RunFacts } from './run-facts';
import { readTemperature } from './temperature';

/**
 * Puts right when a run was, or how hot. No guard asks about the temperature: it is what was done, not what is about to be. What was noted first stays.
 */
export async function postDryingFacts(
	db: Database,
	body: z.output<typeof dryingFactsBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'dryingFacts', body, now }, async (tx) => {
		const [run] = await tx.select().from(dryingRun).where(eq(dryingRun.id, body.runId)).for('update');
		if (!run) throw refuseField('runId', 'unknownId', { what: 'run' });
		const [end] = await tx.select().from(dryingRunEnd).where(eq(dryingRunEnd.runId, run.id));
		const before = { ...run, endedAt: end?.endedAt, ...(await correctedRuns(tx, [run.id])).get(run.id)?.facts };
		const said = readFacts(body, before, now);
		if (Object.keys(said).length === 0) throw refuseField('setPoint', 'correctionMissing');
		await amendFacts(tx, 'dryingRun', { id: run.id, facts: said, reason: body.reason, now });
		await raiseSpoolsOfRun(tx, run.id);
		return { id: body.id };
	});
}

function readFacts(
	body: z.output<typeof dryingFactsBody>,
	before: { startedAt: number; plannedEndAt: number; endedAt?: number },
	now: number
): RunFacts {
	const errors: FieldError[] = [];
	const facts: RunFacts = {};
	if (body.setPoint !== undefined) facts.setPointC = readTemperature(body.setPoint, 'setPoint', errors) ?? undefined;
	if (body.startedAt !== undefined) {
		facts.startedAt = pastInstant(body.startedAt, now, 'startedAt');
		// It runs for as long as was planned.
		facts.plannedEndAt = before.plannedEndAt + facts.startedAt - before.startedAt;
	}
	if (body.endedAt !== undefined) facts.endedAt = pastInstant(body.endedAt, now, 'endedAt');
	if (body.endedAt !== undefined && before.endedAt === undefined) errors.push(fieldError('endedAt', 'notEndedYet'));
	const [from, to] = [facts.startedAt ?? before.startedAt, facts.endedAt ?? before.endedAt ?? now];
	if (to < from) errors.push(fieldError(body.endedAt === undefined ? 'startedAt' : 'endedAt', 'beforeDrying'));
	if (errors.length > 0) throw refuse(errors);
	return facts;
}

/** Spools that were in a run are judged anew. */
export async function raiseSpoolsOfRun(tx: Transaction, runId: string): Promise<void> {
	const members = await tx.select().from(dryingRunSpool).where(eq(dryingRunSpool.runId, runId));
	for (const { spoolId } of members) await raiseRevision(tx, spoolId);
}
