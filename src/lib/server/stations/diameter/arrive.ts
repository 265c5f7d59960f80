import { createHash } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { GaugeLog } from '$lib/core/record/gauge-log/gauge-log';
import { LogReader, type LogRowError } from '$lib/core/record/gauge-log/read-log';
import { MOST_SLICES, type logBody, type logEndBody, type LogLayout } from '$lib/schemas/gauge-log';
import { rowRefusal } from '$lib/schemas/row-refusal';
import type { FieldError } from '$lib/schemas/field-error';
import type { Database, Reader, Transaction } from '../../base/db/client';
import { instrument, series, seriesChunk, seriesSlice, spool, writeLog } from '../../base/db/schema';
import { notFound, problem, refuse, refuseField } from '../../base/problem';
import { raiseRevision } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { letOthersIn } from '../../base/polite/let-others-in';
import { axisOf, CHUNK_SAMPLES, chunkBytes } from '../../record/logs/samples';

/** A log that is arriving: announced, then slice by slice, then taken whole or forgotten. Until then nobody sees it. */
export async function announceLog(
	db: Database,
	body: z.output<typeof logBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'log', body, now }, async (tx) => {
		const [known] = await tx.select({ id: spool.id }).from(spool).where(eq(spool.id, body.spoolId));
		if (!known) throw refuseField('spoolId', 'unknownId', { what: 'spool' });
		if (body.instrumentId) {
			const [gauge] = await tx.select({ id: instrument.id }).from(instrument).where(eq(instrument.id, body.instrumentId));
			if (!gauge) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
		}
		await tx.insert(series).values({
			id: body.id,
			spoolId: body.spoolId,
			station: 'diameter',
			quantity: 'diameter',
			unit: 'mm',
			name: body.name,
			instrumentId: body.instrumentId,
			axis: body.layout,
			samples: 0,
			slices: body.slices ?? null,
			committed: false,
			startedAt: Date.parse(body.at),
			zone: body.zone,
			createdAt: now
		});
		return { id: body.id };
	});
}

/** Keeps one slice. The same slice again is kept already; another one in its place is refused. */
export async function putSlice(db: Database, logId: string, position: number, bytes: Buffer): Promise<{ position: number }> {
	const log = await arriving(db, logId);
	const most = log.slices ?? MOST_SLICES;
	if (position < 0 || position >= most) throw problem(422, 'tooManySlices', { most });
	const bodyHash = createHash('sha256').update(bytes).digest();
	await db.insert(seriesSlice).ignore().values({ seriesId: logId, position, bodyHash, bytes });
	const [kept] = await db
		.select({ bodyHash: seriesSlice.bodyHash })
		.from(seriesSlice)
		.where(and(eq(seriesSlice.seriesId, logId), eq(seriesSlice.position, position)));
	if (!kept?.bodyHash.equals(bodyHash)) throw problem(409, 'sliceReused');
	return { position };
}

/** What has arrived of a log so far, so that a broken-off upload can go on. */
export async function logState(
	db: Reader,
	logId: string
): Promise<{ id: string; name: string | null; committed: boolean; samples: number; slices: number | null; received: number[] }> {
	const [log] = await db.select().from(series).where(eq(series.id, logId));
	if (!log) throw notFound('log');
	const slices = await db
		.select({ position: seriesSlice.position })
		.from(seriesSlice)
		.where(eq(seriesSlice.seriesId, logId))
		.orderBy(asc(seriesSlice.position));
	const { id, name, committed, samples } = log;
	return { id, name, committed, samples, slices: log.slices, received: slices.map((s) => s.position) };
}

/** Takes what arrived, whole or not at all; or forgets it. */
export async function endLog(
	db: Database,
	body: z.output<typeof logEndBody>,
	now: number
): Promise<{ answer: { id: string; samples: number }; repeated: boolean }> {
	// Read before the transaction: a million rows take a second, and nothing is locked meanwhile.
	const log = body.outcome === 'commit' && !(await ended(db, body.id)) ? await readArrived(db, body.logId, body.slices) : null;
	return await writeOnce(db, { id: body.id, kind: 'logEnd', body, now }, async (tx) => {
		const head = await arriving(tx, body.logId);
		await tx.delete(seriesSlice).where(eq(seriesSlice.seriesId, body.logId));
		if (!log) {
			await tx.delete(series).where(eq(series.id, body.logId));
			return { id: body.logId, samples: 0 };
		}
		await writeSamples(tx, body.logId, log);
		await tx
			.update(series)
			.set({ committed: true, samples: log.along.length, axis: axisOf(log) })
			.where(eq(series.id, body.logId));
		await raiseRevision(tx, head.spoolId as string);
		return { id: body.logId, samples: log.along.length };
	});
}

/** Whether this ending was answered before: then what arrived is gone, and the first answer is given again. */
async function ended(db: Reader, endId: string): Promise<boolean> {
	const [row] = await db.select({ id: writeLog.id }).from(writeLog).where(eq(writeLog.id, endId));
	return row !== undefined;
}

async function arriving(db: Reader, logId: string) {
	const [log] = await db.select().from(series).where(eq(series.id, logId));
	if (!log) throw notFound('log');
	if (log.committed) throw problem(409, 'logTakenIn');
	return log;
}

async function readArrived(db: Database, logId: string, came: number | undefined): Promise<GaugeLog> {
	const head = await arriving(db, logId);
	const slices = head.slices ?? came;
	if (slices === undefined) throw refuseField('slices', 'slicesMissing');
	const reader = new LogReader(head.axis as LogLayout);
	// A character may be cut in two between slices.
	const decoder = new TextDecoder('utf-8');
	for (let position = 0; position < slices && !reader.failed; position++) {
		const [slice] = await db
			.select({ bytes: seriesSlice.bytes })
			.from(seriesSlice)
			.where(and(eq(seriesSlice.seriesId, logId), eq(seriesSlice.position, position)));
		if (!slice) throw problem(409, 'sliceNotArrived', { slice: position + 1, slices });
		reader.push(decoder.decode(slice.bytes, { stream: true }));
		await letOthersIn();
	}
	const read = reader.finish();
	if (!read.ok) throw refuse(read.errors.map(errorOfRow));
	return read.log;
}

function errorOfRow(error: LogRowError): FieldError {
	return { path: `rows.${error.row}`, ...rowRefusal(error) };
}

async function writeSamples(tx: Transaction, seriesId: string, log: GaugeLog): Promise<void> {
	const n = log.along.length;
	for (let position = 0; position * CHUNK_SAMPLES < n; position++) {
		const from = position * CHUNK_SAMPLES;
		const to = Math.min(n, from + CHUNK_SAMPLES);
		await tx.insert(seriesChunk).values({ seriesId, position, samples: to - from, bytes: chunkBytes(log, from, to) });
	}
}
