import { raiseRevision } from '../../record/revisions/revisions';
import { keepReadings } from '../../record/readings/keep-readings';
import { and, desc, eq, lte } from 'drizzle-orm';
import { contextOfReading } from '$lib/core/record/evidence/reading';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { readReading } from '$lib/core/joins/read-reading';
import type { ReadingBody } from '$lib/schemas/reading';
import type { Database, Transaction } from '../../base/db/client';
import { attempt, instrument, instrumentCheck, ownMeasure, photo, specimen } from '../../base/db/schema';
import { readBy } from '../../record/own/measure';
import { refuse, refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';
import { checkMasses } from '../../record/masses/masses';
import { requireOrder } from '../../record/readings/check-order';
import { refusedReading } from '$lib/schemas/refused-reading';

export type KeptReading = { id: string; value: number | null; typedText: string; typedUnit: string };

/** Keeps one reading. Idempotent by its id; answers after COMMIT. */
export async function postReading(db: Database, body: ReadingBody, now: number): Promise<{ answer: KeptReading; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'reading', body, now }, (tx) => insertReading(tx, body, now));
}

/** Inserts a reading inside a running write: the raw row, and a raised revision of its spool. */
async function insertReading(tx: Transaction, body: ReadingBody, now: number): Promise<KeptReading> {
	const takenAt = pastInstant(body.takenAt, now, 'takenAt');
	await raiseRevision(tx, body.spoolId);
	await checkBelongings(tx, body);
	const read = readReading(body.quantity, body.typed, await ownReadBy(tx, body));
	if (!read.ok) throw refuse([refusedReading('typed', read)]);
	await checkMasses(tx, body.spoolId, body.quantity, read.value);
	const { value, typedText, typedUnit, resolution } = read;
	await keepReadings(tx, { spoolId: body.spoolId, takenAt, zone: body.zone, now }, [
		{
			...contextOfReading(body),
			id: body.id,
			quantity: body.quantity,
			value,
			typedText,
			typedUnit,
			resolution,
			instrumentCheckId: body.instrumentId ? await checkInForceId(tx, body.instrumentId, takenAt) : null,
			roomTemperatureC: body.roomTemperatureC,
			roomHumidityPct: body.roomHumidityPct,
			photoId: body.photo?.id,
			photoCorners: body.photo?.corners
		}
	]);
	if (body.attemptId) await requireOrder(tx, body.attemptId, body.id, 'typed');
	return { id: body.id, value, typedText, typedUnit };
}

/** The check of an instrument that was the last one when a reading was taken; findings ask again, since one may be made later. */
async function checkInForceId(tx: Transaction, instrumentId: string, takenAt: number): Promise<string | null> {
	const [check] = await tx
		.select({ id: instrumentCheck.id })
		.from(instrumentCheck)
		.where(and(eq(instrumentCheck.instrumentId, instrumentId), lte(instrumentCheck.at, takenAt)))
		.orderBy(desc(instrumentCheck.at))
		.limit(1);
	return check?.id ?? null;
}

/** Refuses a print that this spool does not have. */
export async function requireAttempt(tx: Transaction, spoolId: string, attemptId: string): Promise<void> {
	const [known] = await tx
		.select({ id: attempt.id })
		.from(attempt)
		.where(and(eq(attempt.id, attemptId), eq(attempt.spoolId, spoolId)));
	if (!known) throw refuseField('attemptId', 'notOfSpool', { what: 'print' });
}

async function checkBelongings(tx: Transaction, body: ReadingBody): Promise<void> {
	if (body.instrumentId) {
		const [known] = await tx.select({ id: instrument.id }).from(instrument).where(eq(instrument.id, body.instrumentId));
		if (!known) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
	}
	if (body.attemptId) await requireAttempt(tx, body.spoolId, body.attemptId);
	else if (READING_QUANTITIES[body.quantity]?.of === 'attempt') throw refuseField('attemptId', 'markWithoutPrint');
	if (body.specimenId) {
		const [known] = await tx
			.select({ id: specimen.id })
			.from(specimen)
			.where(and(eq(specimen.id, body.specimenId), eq(specimen.spoolId, body.spoolId)));
		if (!known) throw refuseField('specimenId', 'notOfSpool', { what: 'specimen' });
	} else if (READING_QUANTITIES[body.quantity]?.of === 'specimen') throw refuseField('specimenId', 'loadWithoutSpecimen');
	if (body.photo) {
		const [known] = await tx
			.select({ id: photo.id })
			.from(photo)
			.where(and(eq(photo.id, body.photo.id), eq(photo.targetId, body.attemptId ?? '')));
		if (!known) throw refuseField('photo.id', 'notOfPrint');
	}
	if (body.before && body.quantity !== 'grossMass') throw refuseField('before', 'onlyWeighingsHaveBefore');
}

async function ownReadBy(tx: Transaction, body: ReadingBody): Promise<string | readonly string[]> {
	if (body.quantity !== 'own') return '';
	if (!body.ownMeasureId) throw refuseField('ownMeasureId', 'ownMeasureMissing');
	const [measure] = await tx.select().from(ownMeasure).where(eq(ownMeasure.id, body.ownMeasureId));
	if (!measure) throw refuseField('ownMeasureId', 'unknownId', { what: 'ownMeasure' });
	return readBy(measure);
}
