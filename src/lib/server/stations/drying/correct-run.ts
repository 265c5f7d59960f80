import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import { dryingFactsBody } from '$lib/schemas/drying';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import type { Database, Reader, Transaction } from '../../base/db/client';
import { dryingRun, dryingRunEnd, dryingRunSpool } from '../../base/db/schema';
import { amendFacts } from '../../record/facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { isFuture } from '../../base/time';
import { raiseRevision } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { correctedRuns, type RunFacts } from '../../record/drying/run-facts';
import { readTemperature } from '../../record/typed/temperature';

/**
 * Puts right when a run was, or how hot. No guard asks about the temperature: it is what was done, not what is about to be. What was noted first stays.
 */
export async function postDryingFacts(
	db: Database,
	body: z.output<typeof dryingFactsBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'dryingFacts', body, now }, async (tx) => {
		const run = await runAsItStands(tx, body.runId);
		if (!run) throw refuseField('runId', 'unknownId', { what: 'run' });
		const { facts: said, errors } = readFacts(body, run, now);
		if (errors.length > 0) throw refuse(errors);
		if (Object.keys(said).length === 0) throw refuseField('setPoint', 'correctionMissing');
		await amendFacts(tx, 'dryingRun', { id: run.id, facts: said, reason: body.reason, now });
		await raiseSpoolsOfRun(tx, run.id);
		return { id: body.id };
	});
}

/** What else is wrong with a correction whose body was refused, such as for a reason that is missing. */
export async function factsFaultsBeside(body: unknown, db: Reader, now: number): Promise<FieldError[]> {
	const readable = readableFields(dryingFactsBody, body);
	const run = readable.runId ? await runAsItStands(db, readable.runId) : null;
	return run ? readFacts(readable, run, now).errors : [];
}

type Standing = { id: string; startedAt: number; plannedEndAt: number; endedAt?: number };

async function runAsItStands(db: Reader, runId: string): Promise<Standing | null> {
	const [run] = await db.select().from(dryingRun).where(eq(dryingRun.id, runId)).for('update');
	if (!run) return null;
	const [end] = await db.select().from(dryingRunEnd).where(eq(dryingRunEnd.runId, run.id));
	return { ...run, endedAt: end?.endedAt, ...(await correctedRuns(db, [run.id])).get(run.id)?.facts };
}

type Said = Partial<Pick<z.output<typeof dryingFactsBody>, 'setPoint' | 'startedAt' | 'endedAt'>>;

function readFacts(body: Said, before: Standing, now: number): { facts: RunFacts; errors: FieldError[] } {
	const errors: FieldError[] = [];
	const facts: RunFacts = {};
	if (body.setPoint !== undefined) facts.setPointC = readTemperature(body.setPoint, 'setPoint', errors) ?? undefined;
	if (body.startedAt !== undefined) {
		facts.startedAt = Date.parse(body.startedAt);
		if (isFuture(facts.startedAt, now)) errors.push(fieldError('startedAt', 'future'));
		// It runs for as long as was planned.
		facts.plannedEndAt = before.plannedEndAt + facts.startedAt - before.startedAt;
	}
	if (body.endedAt !== undefined) facts.endedAt = Date.parse(body.endedAt);
	if (facts.endedAt !== undefined && isFuture(facts.endedAt, now)) errors.push(fieldError('endedAt', 'future'));
	if (body.endedAt !== undefined && before.endedAt === undefined) errors.push(fieldError('endedAt', 'notEndedYet'));
	const [from, to] = [facts.startedAt ?? before.startedAt, facts.endedAt ?? before.endedAt ?? now];
	const wrong = body.endedAt === undefined ? 'startedAt' : 'endedAt';
	if (to < from && !errors.some((e) => e.path === wrong)) errors.push(fieldError(wrong, 'beforeDrying'));
	return { facts, errors };
}

/** What an undo leaves must still be a run: an end that was put right by a start that is undone now would lie before it. */
export async function requireEndAfterStart(tx: Transaction, runId: string): Promise<void> {
	const run = await runAsItStands(tx, runId);
	if (run?.endedAt !== undefined && run.endedAt < run.startedAt) throw refuseField('undoesId', 'undoLaterFirst');
}

/** Spools that were in a run are judged anew. */
export async function raiseSpoolsOfRun(tx: Transaction, runId: string): Promise<void> {
	const members = await tx.select().from(dryingRunSpool).where(eq(dryingRunSpool.runId, runId));
	for (const { spoolId } of members) await raiseRevision(tx, spoolId);
}
