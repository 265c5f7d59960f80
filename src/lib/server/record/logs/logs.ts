import { createHash } from 'node:crypto';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { applyAmendments, leftOutOf, type Amendment } from '$lib/core/record/amendments/apply';
import { envelope, type Envelope } from '$lib/core/record/gauge-log/envelope';
import { runsWithout, type SampleRange } from '$lib/core/record/gauge-log/left-out';
import { positionAt, type GaugeLog } from '$lib/core/record/gauge-log/gauge-log';
import { summarySteps, type LogSummary } from '$lib/core/record/gauge-log/summary';
import type { LoggedStrand } from '$lib/core/record/evidence/log';
import type { DamagedRecord } from '$lib/core/record/evidence/spool-evidence';
import { CORE_VERSION } from '$lib/core/version';
import type { Reader } from '../../base/db/client';
import { series, seriesChunk, seriesSummary } from '../../base/db/schema';
import { notFound, problem } from '../../base/problem';
import { letOthersIn } from '../../base/polite/let-others-in';
import { chunksFault, logOfChunks, storedAxis } from './samples';

/** Logs of spools that were taken in, oldest first, worked out. `nominalOf` gives the diameter a spool is meant to have. */
export async function loadLogs(
	db: Reader,
	spoolIds: string[],
	nominalOf: (spoolId: string) => number,
	amendments: ReadonlyMap<string, Amendment[]>
): Promise<{ logs: Map<string, LoggedStrand[]>; damaged: Map<string, DamagedRecord[]> }> {
	const rows = await db
		.select()
		.from(series)
		.where(and(inArray(series.spoolId, spoolIds), eq(series.station, 'diameter'), eq(series.committed, true)))
		.orderBy(asc(series.startedAt), asc(series.id));
	const logs = new Map<string, LoggedStrand[]>();
	const damaged = new Map<string, DamagedRecord[]>();
	for (const row of rows) {
		const spoolId = row.spoolId as string;
		const amended = amendments.get(spoolId) ?? [];
		const parts = leftOutOf(row.id, amended);
		// Left out bit by bit until nothing is left: then it is marked invalid, and its picture is still the whole.
		const nothing = parts.length > 0 && runsWithout(row.samples, parts).length === 0;
		const summary = await summaryOf(db, row, nominalOf(spoolId), nothing ? [] : parts);
		if (!summary) {
			const name = row.name ?? '';
			damaged.set(spoolId, [...(damaged.get(spoolId) ?? []), { kind: 'log', id: row.id, name, at: row.startedAt }]);
			continue;
		}
		const leftOut = parts.map(({ amendmentId, reason }, i) => {
			const { fromM, toM } = summary.leftOut[i] ?? summary;
			return { amendmentId, reason, fromM, toM };
		});
		const log = applyAmendments(
			{ id: row.id, name: row.name ?? '', at: row.startedAt, instrumentId: row.instrumentId, summary, leftOut },
			amended
		);
		logs.set(spoolId, [...(logs.get(spoolId) ?? []), nothing ? { ...log, status: 'excluded' } : log]);
	}
	return { logs, damaged };
}

type Row = typeof series.$inferSelect;

/** Null for a log that cannot be read. Worked out once for a version of core and a nominal diameter, and kept; never trusted beyond them. */
async function summaryOf(db: Reader, row: Row, nominalMm: number, leftOut: readonly SampleRange[]): Promise<LogSummary | null> {
	const parts = leftOut.map(({ from, to }) => `${from}-${to}`).join(' ');
	// Short enough for its column however many parts there are.
	const madeBy = `${CORE_VERSION} ${nominalMm}${parts && ` ${createHash('sha256').update(parts).digest('base64').slice(0, 22)}`}`;
	const [known] = await db.select().from(seriesSummary).where(eq(seriesSummary.seriesId, row.id));
	if (known?.madeBy === madeBy) return known.summary as LogSummary;
	const log = await readLog(db, row);
	if (!log) return null;
	const steps = summarySteps(log, nominalMm, leftOut);
	let step = steps.next();
	while (!step.done) {
		await letOthersIn();
		step = steps.next();
	}
	const summary = step.value;
	await db.insert(seriesSummary).values({ seriesId: row.id, madeBy, summary }).onDuplicateKeyUpdate({ set: { madeBy, summary } });
	return summary;
}

/** The last log that was looked into: zooming asks for the same one again and again. */
let lastRead: { id: string; log: GaugeLog } | null = null;

/** Null when its chunks are not whole. */
async function readLog(db: Reader, row: Row): Promise<GaugeLog | null> {
	const chunks = await db.select().from(seriesChunk).where(eq(seriesChunk.seriesId, row.id)).orderBy(asc(seriesChunk.position));
	const axis = storedAxis.safeParse(row.axis);
	if (!axis.success || chunksFault(axis.data, row.samples, chunks)) return null;
	const log = logOfChunks(axis.data, row.samples, chunks);
	return log;
}

/** All samples of a log that was taken in. */
export async function readWholeLog(db: Reader, logId: string): Promise<GaugeLog> {
	const [row] = await db.select().from(series).where(eq(series.id, logId));
	if (!row?.committed) throw notFound('log');
	if (lastRead?.id === row.id) return lastRead.log;
	const log = await readLog(db, row);
	if (!log) throw problem(422, 'damagedLog');
	lastRead = { id: row.id, log };
	return log;
}

/** Columns of a picture of part of a log, for any zoom. */
export async function logPicture(db: Reader, logId: string, range: { fromM?: number; toM?: number; columns: number }): Promise<Envelope> {
	const log = await readWholeLog(db, logId);
	const fromM = range.fromM ?? positionAt(log.position, 0);
	const toM = range.toM ?? positionAt(log.position, log.along.length - 1);
	return envelope(log, Math.min(fromM, toM), Math.max(fromM, toM), range.columns);
}
