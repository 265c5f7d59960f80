import { and, eq } from 'drizzle-orm';
import { leftOutOf } from '$lib/core/amendments/apply';
import { runsWithout } from '$lib/core/diameter/log/left-out';
import { indexAt, positionAt } from '$lib/core/diameter/log/gauge-log';
import { readReading } from '$lib/core/readings/read-reading';
import type { AmendmentBody } from '$lib/schemas/amendment';
import type { Database, Reader, Transaction } from '../db/client';
import { amendment, attempt, event, ownMeasure, photo, reading, series, specimen } from '../db/schema';
import { loadAmendments } from '../evidence/load-events';
import { readWholeLog } from '../diameter/logs';
import { readBy } from '../own/measure';
import { notFound, refuse, refuseField } from '../problem';
import { requireOrder } from '../prints/check-order';
import { raiseRevision } from '../write/revisions';
import { refusedReading } from '$lib/schemas/refused-reading';
import { pastInstant } from '../time';
import { writeOnce } from '../write/write-once';

export type KeptAmendment = { id: string; targetId: string };

/** Keeps a correction, exclusion, reinstatement, confirmation or undo. The record it points at is not touched. */
export async function postAmendment(db: Database, body: AmendmentBody, now: number): Promise<{ answer: KeptAmendment; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'amendment', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		const spoolId = await spoolOfTarget(tx, body);
		await raiseRevision(tx, spoolId);
		if (body.action === 'undo') await checkUndone(tx, body);
		await tx.insert(amendment).values({
			id: body.id,
			spoolId,
			targetKind: body.targetKind,
			targetId: body.targetId,
			action: body.action,
			undoesId: body.undoesId,
			...(body.range ? await samplesOf(tx, spoolId, body.targetId, body.range) : {}),
			replacement: body.action === 'correct' ? await replacementOf(tx, body) : null,
			reason: body.reason,
			// Order decides which amendment is in force; the moment of arrival is the one clock all senders share.
			at: Math.max(at, now),
			createdAt: now
		});
		if (body.targetKind === 'reading' && body.action !== 'exclude') await checkOrder(tx, body.targetId);
		return { id: body.id, targetId: body.targetId };
	});
}

/** A corrected, reinstated or undone mark must not contradict its partner. */
async function checkOrder(tx: Transaction, readingId: string): Promise<void> {
	const [row] = await tx.select({ attemptId: reading.attemptId }).from(reading).where(eq(reading.id, readingId));
	if (row?.attemptId) await requireOrder(tx, row.attemptId, readingId, 'typed');
}

async function spoolOfTarget(tx: Reader, body: AmendmentBody): Promise<string> {
	const table = { reading, attempt, event, specimen, log: series, photo }[body.targetKind];
	const [row] = await tx.select({ spoolId: table.spoolId }).from(table).where(eq(table.id, body.targetId));
	if (!row) throw notFound(body.targetKind);
	return row.spoolId as string;
}

/** Kept as samples, so that it means the same whatever becomes of positions. */
async function samplesOf(
	tx: Reader,
	spoolId: string,
	logId: string,
	range: { fromM: number; toM: number }
): Promise<{ rangeFrom: number; rangeTo: number }> {
	const log = await readWholeLog(tx, logId);
	const from = indexAt(log, range.fromM);
	// A sample at the very end belongs to the part.
	const end = indexAt(log, range.toM);
	const to = end < log.along.length && positionAt(log.position, end) <= range.toM + 1e-9 ? end : end - 1;
	if (to < from) throw refuseField('range', 'noSampleBetween');
	const before = leftOutOf(logId, (await loadAmendments(tx, [spoolId])).get(spoolId) ?? []);
	if (runsWithout(log.along.length, [...before, { from, to }]).length === 0) throw refuseField('range', 'nothingLeftOfLog');
	return { rangeFrom: from, rangeTo: to };
}

async function checkUndone(tx: Transaction, body: AmendmentBody): Promise<void> {
	const [row] = await tx
		.select({ id: amendment.id })
		.from(amendment)
		.where(and(eq(amendment.id, body.undoesId ?? ''), eq(amendment.targetId, body.targetId)));
	if (!row) throw refuseField('undoesId', 'unknownId', { what: 'amendment' });
}

/** What supersedes the raw fields; a corrected value passes the same reading of text as the first one. */
async function replacementOf(tx: Transaction, body: AmendmentBody): Promise<Record<string, unknown>> {
	if (body.targetKind === 'attempt') {
		if (!body.replacement) throw refuseField('replacement', 'correctionMissing');
		return attemptFields(body.replacement);
	}
	if (body.targetKind !== 'reading') throw refuseField('action', 'notCorrectable', { what: body.targetKind });
	if (!body.typed && !body.before) throw refuseField('typed', 'rightValueMissing');
	const [row] = await tx.select().from(reading).where(eq(reading.id, body.targetId));
	if (!row) throw notFound('reading');
	if (body.before && row.quantity !== 'grossMass') throw refuseField('before', 'onlyWeighingsHaveBefore');
	if (!body.typed) return { before: body.before };
	const [own] = row.ownMeasureId ? await tx.select().from(ownMeasure).where(eq(ownMeasure.id, row.ownMeasureId)) : [];
	const read = readReading(row.quantity, body.typed, own ? readBy(own) : '');
	if (!read.ok) throw refuse([refusedReading('typed', read)]);
	const corrected = { value: read.value, typedText: read.typedText, typedUnit: read.typedUnit, resolution: read.resolution };
	return body.before ? { ...corrected, before: body.before } : corrected;
}

/** A finished print has reached 100 % and has nobody to charge, whatever the raw row said. */
function attemptFields(replacement: NonNullable<AmendmentBody['replacement']>): Record<string, unknown> {
	if (replacement.outcome === 'finished') return { ...replacement, percentReached: 100, cause: null, failure: null };
	return replacement.outcome === 'ofNoUse' ? { ...replacement, percentReached: 100 } : replacement;
}
