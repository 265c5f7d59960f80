import { and, eq, inArray, or, sql } from 'drizzle-orm';
import type { Transaction } from '../../base/db/client';
import { amendment, attempt, dryingRun, dryingRunSpool, reading, series, spool, trial } from '../../base/db/schema';
import { refuseField } from '../../base/problem';

// Caches of findings are keyed by these counters, so they are raised in the transaction that writes.

const raised = { revision: sql`${spool.revision} + 1` };

/** Raises the revision of one spool. Refuses an unknown one. */
export async function raiseRevision(tx: Transaction, spoolId: string): Promise<void> {
	const [result] = await tx.update(spool).set(raised).where(eq(spool.id, spoolId));
	if (result.affectedRows === 0) throw refuseField('spoolId', 'unknownId', { what: 'spool' });
}

/** A claim or a price belongs to a filament: all its spools are seen anew. */
export async function raiseFilament(tx: Transaction, filamentId: string): Promise<void> {
	await tx.update(spool).set(raised).where(eq(spool.filamentId, filamentId));
}

/** Spools that were measured with an instrument are judged anew. */
export async function raiseSpoolsOf(tx: Transaction, instrumentId: string): Promise<void> {
	const read = tx.select({ id: reading.spoolId }).from(reading).where(eq(reading.instrumentId, instrumentId));
	const putRight = tx
		.select({ id: amendment.spoolId })
		.from(amendment)
		.where(and(eq(amendment.targetKind, 'reading'), sql`JSON_VALUE(${amendment.replacement}, '$.instrumentId') = ${instrumentId}`));
	const logged = tx.select({ id: series.spoolId }).from(series).where(eq(series.instrumentId, instrumentId));
	await tx
		.update(spool)
		.set(raised)
		.where(or(inArray(spool.id, read), inArray(spool.id, putRight), inArray(spool.id, logged)));
}

/** Spools that were printed on a printer, or are said to have been, are seen anew. */
export async function raiseSpoolsOn(tx: Transaction, printerId: string): Promise<void> {
	const printed = tx.select({ id: attempt.spoolId }).from(attempt).where(eq(attempt.printerId, printerId));
	const putRight = tx
		.select({ id: amendment.spoolId })
		.from(amendment)
		.where(and(eq(amendment.targetKind, 'attempt'), sql`JSON_VALUE(${amendment.replacement}, '$.printerId') = ${printerId}`));
	await tx
		.update(spool)
		.set(raised)
		.where(or(inArray(spool.id, printed), inArray(spool.id, putRight)));
}

/** Spools that were dried in a dryer are seen anew. */
export async function raiseSpoolsDriedIn(tx: Transaction, dryerId: string): Promise<void> {
	const dried = tx
		.select({ id: dryingRunSpool.spoolId })
		.from(dryingRunSpool)
		.innerJoin(dryingRun, eq(dryingRun.id, dryingRunSpool.runId))
		.where(eq(dryingRun.dryerId, dryerId));
	await tx.update(spool).set(raised).where(inArray(spool.id, dried));
}

/** Spools that an own measure was taken of are judged anew. */
export async function raiseSpoolsMeasured(tx: Transaction, ownMeasureId: string): Promise<void> {
	const read = tx.select({ id: reading.spoolId }).from(reading).where(eq(reading.ownMeasureId, ownMeasureId));
	await tx.update(spool).set(raised).where(inArray(spool.id, read));
}

/** Raises the revision of a trial. Refuses an unknown one. */
export async function raiseTrial(tx: Transaction, trialId: string): Promise<void> {
	const [result] = await tx
		.update(trial)
		.set({ revision: sql`${trial.revision} + 1` })
		.where(eq(trial.id, trialId));
	if (result.affectedRows === 0) throw refuseField('trialId', 'unknownId', { what: 'trial' });
}
