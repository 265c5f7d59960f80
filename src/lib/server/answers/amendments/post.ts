import { and, eq } from 'drizzle-orm';
import { leftOutOf } from '$lib/core/record/amendments/apply';
import { runsWithout } from '$lib/core/record/gauge-log/left-out';
import { AMENDED_FACTS } from '$lib/core/record/lists/closed-lists';
import { indexAt, positionAt } from '$lib/core/record/gauge-log/gauge-log';
import { readReading } from '$lib/core/joins/read-reading';
import type { AmendmentBody } from '$lib/schemas/amendment';
import { fieldError, type FieldError } from '$lib/schemas/field-error';
import type { Database, Reader, Transaction } from '../../base/db/client';
import {
	amendment,
	attempt,
	event,
	gaugeStudy,
	instrument,
	dryerCheck,
	instrumentCheck,
	ownMeasure,
	photo,
	piece,
	quote,
	reading,
	series,
	specimen
} from '../../base/db/schema';
import { loadAmendments } from '../../record/evidence/load-events';
import { raiseSpoolsOfRun, requireEndAfterStart } from '../../stations/drying/correct-run';
import { settleCode, settleProducts } from '../../stations/intake/product';
import { readWholeLog } from '../../record/logs/logs';
import { readBy } from '../../record/own/measure';
import { notFound, refuse, refuseField } from '../../base/problem';
import { requireOrder } from '../../record/readings/check-order';
import { requirePrinter } from '../../stations/prints/post-attempt';
import { requirePortion } from '../../stations/events/post-event';
import {
	raiseFilament,
	raiseRevision,
	raiseSpoolsDriedIn,
	raiseSpoolsMeasured,
	raiseSpoolsOf,
	raiseSpoolsOn,
	raiseTrial
} from '../../record/revisions/revisions';
import { refusedReading } from '$lib/schemas/refused-reading';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

export type KeptAmendment = { id: string; targetId: string };

/** Keeps a correction, exclusion, reinstatement, confirmation or undo. The record it points at is not touched. */
export async function postAmendment(db: Database, body: AmendmentBody, now: number): Promise<{ answer: KeptAmendment; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'amendment', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		const spoolId = await ownerOf(tx, body);
		if (body.action === 'undo') await checkUndone(tx, body);
		await tx.insert(amendment).values({
			id: body.id,
			spoolId,
			targetKind: body.targetKind,
			targetId: body.targetId,
			action: body.action,
			undoesId: body.undoesId,
			...(body.range ? await samplesOf(tx, spoolId, body.targetId, body.range) : {}),
			replacement: body.action === 'correct' ? await replacementOf(tx, body, { spoolId, now }) : null,
			reason: body.reason,
			// Order decides which amendment is in force; the moment of arrival is the one clock all senders share.
			at: Math.max(at, now),
			createdAt: now
		});
		if (body.targetKind === 'reading' && body.action !== 'exclude') await checkOrder(tx, body.targetId);
		if (body.targetKind === 'filament') await settleProducts(tx, [body.targetId], now);
		if (body.targetKind === 'spool') await settleCode(tx, body.targetId);
		if (body.targetKind === 'dryingRun') await requireEndAfterStart(tx, body.targetId);
		return { id: body.id, targetId: body.targetId };
	});
}

/** A corrected, reinstated or undone mark must not contradict its partner. */
async function checkOrder(tx: Transaction, readingId: string): Promise<void> {
	const [row] = await tx.select({ attemptId: reading.attemptId }).from(reading).where(eq(reading.id, readingId));
	if (row?.attemptId) await requireOrder(tx, row.attemptId, readingId, 'typed');
}

type Fact = (typeof AMENDED_FACTS)[number];
const isFact = (kind: AmendmentBody['targetKind']): kind is Fact => (AMENDED_FACTS as readonly string[]).includes(kind);

/** Under whose id an amendment stands; who is seen anew because of it is raised. */
async function ownerOf(tx: Transaction, body: AmendmentBody): Promise<string> {
	const { targetKind: kind, targetId } = body;
	if (isFact(kind)) {
		if (body.action !== 'undo') throw refuseField('action', 'onlyUndone');
		if (kind === 'spool') await raiseRevision(tx, targetId);
		if (kind === 'trial') await raiseTrial(tx, targetId);
		if (kind === 'dryingRun') await raiseSpoolsOfRun(tx, targetId);
		if (kind === 'instrument') await raiseSpoolsOf(tx, targetId);
		if (kind === 'printer') await raiseSpoolsOn(tx, targetId);
		if (kind === 'dryer') await raiseSpoolsDriedIn(tx, targetId);
		if (kind === 'ownMeasure') await raiseSpoolsMeasured(tx, targetId);
		return targetId;
	}
	if (kind === 'check' || kind === 'gaugeStudy') {
		const table = kind === 'check' ? instrumentCheck : gaugeStudy;
		const [row] = await tx.select({ instrumentId: table.instrumentId }).from(table).where(eq(table.id, targetId));
		if (!row) throw notFound(kind);
		await raiseSpoolsOf(tx, row.instrumentId);
		return row.instrumentId;
	}
	if (kind === 'dryerCheck') {
		const [row] = await tx.select({ dryerId: dryerCheck.dryerId }).from(dryerCheck).where(eq(dryerCheck.id, targetId));
		if (!row) throw notFound(kind);
		await raiseSpoolsDriedIn(tx, row.dryerId);
		return row.dryerId;
	}
	if (kind === 'quote') {
		const [row] = await tx.select({ filamentId: quote.filamentId }).from(quote).where(eq(quote.id, targetId));
		if (!row) throw notFound('quote');
		await raiseFilament(tx, row.filamentId);
		return row.filamentId;
	}
	const spoolId = await spoolOfTarget(tx, kind, targetId);
	await raiseRevision(tx, spoolId);
	return spoolId;
}

type OfSpool = Exclude<AmendmentBody['targetKind'], Fact | 'quote' | 'check' | 'gaugeStudy' | 'dryerCheck'>;

async function spoolOfTarget(tx: Reader, kind: OfSpool, targetId: string): Promise<string> {
	const table = { reading, attempt, event, specimen, log: series, photo }[kind];
	const [row] = await tx.select({ spoolId: table.spoolId }).from(table).where(eq(table.id, targetId));
	if (!row) throw notFound(kind);
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

/** What supersedes the fields of a print: a piece that is here, a moment that has been, and an end that does not contradict itself. */
async function replacementOfPrint(
	tx: Transaction,
	{ replacement: said }: AmendmentBody,
	{ spoolId, now }: { spoolId: string; now: number }
): Promise<Record<string, unknown>> {
	if (!said) throw refuseField('replacement', 'correctionMissing');
	const { pieceId, printerId, portionId, at } = said;
	if (pieceId !== undefined) {
		const [known] = await tx.select({ id: piece.id }).from(piece).where(eq(piece.id, pieceId));
		if (!known) throw refuseField('replacement.pieceId', 'unknownId', { what: 'piece' });
	}
	if (printerId) await requirePrinter(tx, printerId, 'replacement.printerId');
	if (portionId) await requirePortion(tx, spoolId, portionId, 'replacement.portionId');
	const fault = endFault(said);
	if (fault) throw refuse([fault]);
	return { ...attemptFields(said), ...(at === undefined ? {} : { at: pastInstant(at, now, 'replacement.at') }) };
}

function endFault({ outcome, percentReached, cause }: NonNullable<AmendmentBody['replacement']>): FieldError | null {
	if (outcome === 'failed' && percentReached === undefined) return fieldError('replacement.percentReached', 'percentMissing');
	if (outcome === 'failed' && percentReached === 100) return fieldError('replacement.percentReached', 'percentWhole');
	if (outcome && outcome !== 'finished' && !cause) return fieldError('replacement.cause', 'causeMissing');
	return null;
}

/** What supersedes the raw fields; a corrected value passes the same reading of text as the first one. */
async function replacementOf(tx: Transaction, body: AmendmentBody, by: { spoolId: string; now: number }): Promise<Record<string, unknown>> {
	if (body.targetKind === 'attempt') return await replacementOfPrint(tx, body, by);
	if (body.targetKind === 'specimen') {
		if (!body.specimen) throw refuseField('specimen', 'correctionMissing');
		return body.specimen;
	}
	if (body.targetKind !== 'reading') throw refuseField('action', 'notCorrectable', { what: body.targetKind });
	if (!body.typed && !body.before && !body.instrumentId && !body.takenAt && !body.scorer) throw refuseField('typed', 'rightValueMissing');
	const [row] = await tx.select().from(reading).where(eq(reading.id, body.targetId));
	if (!row) throw notFound('reading');
	if (body.before && row.quantity !== 'grossMass') throw refuseField('before', 'onlyWeighingsHaveBefore');
	const around = {
		...(body.before ? { before: body.before } : {}),
		...(body.takenAt ? { takenAt: pastInstant(body.takenAt, by.now, 'takenAt') } : {}),
		...(body.scorer ? { scorer: body.scorer } : {}),
		...(await instrumentOf(tx, body))
	};
	if (!body.typed) return around;
	const [own] = row.ownMeasureId ? await tx.select().from(ownMeasure).where(eq(ownMeasure.id, row.ownMeasureId)) : [];
	const read = readReading(row.quantity, body.typed, own ? readBy(own) : '');
	if (!read.ok) throw refuse([refusedReading('typed', read)]);
	return { value: read.value, typedText: read.typedText, typedUnit: read.typedUnit, resolution: read.resolution, ...around };
}

async function instrumentOf(tx: Transaction, { instrumentId }: AmendmentBody): Promise<{ instrumentId?: string }> {
	if (!instrumentId) return {};
	const [known] = await tx.select({ id: instrument.id }).from(instrument).where(eq(instrument.id, instrumentId));
	if (!known) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
	return { instrumentId };
}

/** A finished print has reached 100 % and has nobody to charge, whatever the raw row said. */
function attemptFields(replacement: NonNullable<AmendmentBody['replacement']>): Record<string, unknown> {
	if (replacement.outcome === 'finished') return { ...replacement, percentReached: 100, cause: null, failure: null };
	return replacement.outcome === 'ofNoUse' ? { ...replacement, percentReached: 100 } : replacement;
}
