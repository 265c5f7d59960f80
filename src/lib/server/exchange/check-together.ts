import { and, asc, eq, gt, inArray, isNull } from 'drizzle-orm';
import { orderFaults, hasOrder } from '$lib/core/stations/prints/marks/order';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { chunksFault, type StoredAxis } from '../record/logs/samples';
import type { Transaction } from '../base/db/client';
import { dryingRun, dryingRunEnd, dryingRunSpool, series, seriesChunk } from '../base/db/schema';
import { standingMasses } from '../record/masses/masses';
import { orderError, orderFaultsOf } from '../record/readings/check-order';
import type { Checked } from './checked';
import type { RecordTable } from '../record/rows/tables';

/**
 * What rows of a file must say together with one another and with what is here: the rules of order that the forms have. Looked at before
 * anything is stored, the rows stand for themselves; once they are stored (the caller can still roll back) together with what was here.
 */
export async function checkTogether(
	tx: Transaction,
	table: RecordTable,
	rows: readonly Checked[],
	{ stored, now }: { stored: boolean; now: number }
): Promise<FieldError[]> {
	if (table.name === 'readings') return [...(await marksInOrder(tx, rows, stored)), ...(await grossAboveTare(tx, rows, stored))];
	if (table.name === 'drying-run-spools' && stored) return await inOneDryer(tx, rows, now);
	if (table.name === 'log-chunks' && stored) return await wholeLogs(tx, rows);
	return [];
}

const text = (value: unknown): string => (typeof value === 'string' ? value : '');

async function marksInOrder(tx: Transaction, rows: readonly Checked[], stored: boolean): Promise<FieldError[]> {
	const marks = rows.filter(({ values }) => hasOrder(text(values.quantity)));
	if (marks.length === 0) return [];
	const rowOf = new Map(marks.map(({ row, values }) => [text(values.id), row]));
	const faults = stored
		? await orderFaultsOf(tx, [...new Set(marks.map(({ values }) => text(values.attemptId)))])
		: [...groups(marks).values()].flatMap((group) => orderFaults(group)).filter((f) => f.code !== 'alone');
	return faults.flatMap((fault) => {
		const row = rowOf.get(fault.id);
		// A fault that stood here before is not this file's; one that this file's clean step brings stands at any of its rows.
		return row === undefined ? [] : [orderError(`rows.${row}.typedText`, fault)];
	});
}

function groups(rows: readonly Checked[]) {
	const found = new Map<string, { id: string; quantity: string; value: number | null; takenAt: number }[]>();
	for (const { values } of rows) {
		const key = `${text(values.attemptId)} ${text(values.scorer)}`;
		const mark = {
			id: text(values.id),
			quantity: text(values.quantity),
			value: values.value as number | null,
			takenAt: Date.parse(text(values.takenAt))
		};
		found.set(key, [...(found.get(key) ?? []), mark]);
	}
	return found;
}

/** Every gross mass holds the tare as it was last weighed before, and the other way round, as at the bench. */
async function grossAboveTare(tx: Transaction, rows: readonly Checked[], stored: boolean): Promise<FieldError[]> {
	const masses = ['grossMass', 'tareMass'];
	const weighed = rows.filter(({ values }) => masses.includes(text(values.quantity)));
	if (weighed.length === 0) return [];
	const spoolIds = [...new Set(weighed.map(({ values }) => text(values.spoolId)))];
	const here = await standingMasses(tx, spoolIds);
	const mine = new Map(weighed.map(({ row, values }) => [text(values.id), row]));
	const ofFile = weighed.map(({ values }) => ({
		id: text(values.id),
		spoolId: text(values.spoolId),
		quantity: text(values.quantity),
		value: values.value as number | null,
		at: Date.parse(text(values.takenAt))
	}));
	// Once they are stored, what is here holds them too, as their corrections leave them.
	const all = (stored ? here : [...here.filter((r) => !mine.has(r.id)), ...ofFile]).sort((a, b) => a.at - b.at);
	const last = new Map<string, { grossMass?: number; tareMass?: number }>();
	return all.flatMap((r) => {
		if (r.value === null) return [];
		const before = last.get(r.spoolId) ?? {};
		last.set(r.spoolId, { ...before, [r.quantity]: r.value });
		const gross = r.quantity === 'grossMass' ? r.value : before.grossMass;
		const tare = r.quantity === 'tareMass' ? r.value : before.tareMass;
		const row = mine.get(r.id);
		if (row === undefined || gross === undefined || tare === undefined || gross > tare) return [];
		return [fieldError(`rows.${row}.typedText`, 'grossBelowTare', { grossG: gross, tareG: tare })];
	});
}

/** A spool is in one dryer at a time: of the runs that go on, a file brings none beside another. */
async function inOneDryer(tx: Transaction, rows: readonly Checked[], now: number): Promise<FieldError[]> {
	const spoolIds = [...new Set(rows.map(({ values }) => text(values.spoolId)))];
	if (spoolIds.length === 0) return [];
	const going = await tx
		.select({ spoolId: dryingRunSpool.spoolId, runId: dryingRun.id })
		.from(dryingRunSpool)
		.innerJoin(dryingRun, eq(dryingRun.id, dryingRunSpool.runId))
		.leftJoin(dryingRunEnd, eq(dryingRunEnd.runId, dryingRun.id))
		.where(and(inArray(dryingRunSpool.spoolId, spoolIds), isNull(dryingRunEnd.runId), gt(dryingRun.plannedEndAt, now)));
	return rows
		.filter(({ values }) => {
			const runs = going.filter((g) => g.spoolId === values.spoolId);
			return runs.length > 1 && runs.some((g) => g.runId === values.runId);
		})
		.map(({ row }) => fieldError(`rows.${row}.spoolId`, 'twoDryers'));
}

async function wholeLogs(tx: Transaction, rows: readonly Checked[]): Promise<FieldError[]> {
	const ids = [...new Set(rows.map(({ values }) => text(values.seriesId)))];
	return (await brokenLogs(tx, ids)).map(({ id, position, fault }) => {
		const of = rows.filter(({ values }) => values.seriesId === id);
		const at = of.find(({ values }) => values.position === position) ?? of[0];
		return fieldError(`rows.${at?.row}.bytes`, 'broken', { fault });
	});
}

type BrokenLog = { id: string; position: number; fault: 'missing' | 'length' | 'values' };

/** Logs whose samples are not all there, or not readable. */
export async function brokenLogs(tx: Transaction, ids: readonly string[]): Promise<BrokenLog[]> {
	const broken: BrokenLog[] = [];
	for (const id of ids) {
		const [log] = await tx.select().from(series).where(eq(series.id, id));
		if (!log) continue;
		const chunks = await tx.select().from(seriesChunk).where(eq(seriesChunk.seriesId, id)).orderBy(asc(seriesChunk.position));
		const wrong = chunksFault(log.axis as StoredAxis, log.samples, chunks);
		if (wrong) broken.push({ id, position: wrong.position, fault: wrong.fault });
	}
	return broken;
}
