import { eq, inArray } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { judgeSetPoint } from '$lib/core/drying/set-point';
import { readQuantityText } from '$lib/core/units/quantity-text';
import type { DRYING_OUTCOMES } from '$lib/core/closed-lists';
import type { dryerBody, dryingEndBody, DryingRunBody } from '$lib/schemas/drying';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Transaction } from '../db/client';
import { dryer, dryingRun, dryingRunEnd, dryingRunSpool, event, filament, spool } from '../db/schema';
import type { DryingDetail } from '../evidence/load-events';
import { loadHandbook } from '../handbook/handbook';
import { problem, refuse, refuseField } from '../problem';
import { raiseRevision } from '../write/revisions';
import { pastInstant } from '../time';
import { writeOnce } from '../write/write-once';
import { readTemperature } from './temperature';

type DryingOutcome = (typeof DRYING_OUTCOMES)[number];
type Kept<T> = Promise<{ answer: T; repeated: boolean }>;

export async function postDryer(db: Database, body: z.output<typeof dryerBody>, now: number): Kept<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'dryer', body, now }, async (tx) => {
		const errors: FieldError[] = [];
		const setPointLowC = readTemperature(body.setPointLow, 'setPointLow', errors);
		const setPointHighC = readTemperature(body.setPointHigh, 'setPointHigh', errors);
		if (setPointLowC !== null && setPointHighC !== null && setPointHighC < setPointLowC)
			errors.push(fieldError('setPointHigh', 'lowestAboveHighest'));
		if (errors.length > 0) throw refuse(errors);
		await tx.insert(dryer).values({ id: body.id, name: body.name, setPointLowC, setPointHighC, createdAt: now });
		return { id: body.id };
	});
}

const LONGEST_MIN = 14 * 24 * 60;
/** What began longer ago is no start any more. */
const START_MS = 10 * 60_000;

/**
 * Starts a run with its timer. The temperature of a start is guarded by the softest material and by what the dryer can do; what was done before is
 * recorded as it was.
 */
export async function postDryingRun(
	db: Database,
	body: DryingRunBody,
	now: number
): Kept<{ id: string; startedAt: number; plannedEndAt: number; setPointC: number }> {
	return await writeOnce(db, { id: body.id, kind: 'dryingRun', body, now }, async (tx) => {
		const startedAt = pastInstant(body.at, now, 'at');
		const endedAt = body.endedAt === undefined ? null : pastInstant(body.endedAt, now, 'endedAt');
		if (endedAt !== null && endedAt < startedAt) throw refuseField('endedAt', 'beforeDrying');
		const errors: FieldError[] = [];
		const setPointC = readTemperature(body.setPoint, 'setPoint', errors);
		const minutes = readDuration(body.duration, errors);
		const [machine] = await tx.select().from(dryer).where(eq(dryer.id, body.dryerId));
		if (!machine) errors.push(fieldError('dryerId', 'unknownId', { what: 'dryer' }));
		const spoolIds = [...new Set(body.spoolIds)];
		const materials = await materialsOf(tx, spoolIds, errors);
		if (setPointC !== null && machine && endedAt === null && now - startedAt <= START_MS) {
			errors.push(...beyondDryer(setPointC, machine));
			errors.push(...(await guardSetPoint(tx, setPointC, materials, body.accepted)));
		}
		if (endedAt === null) await checkFree(tx, spoolIds, errors);
		if (errors.length > 0 || setPointC === null || minutes === null) throw refuse(errors);
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

function readDuration(text: string, errors: FieldError[]): number | null {
	const read = readQuantityText(text, 'duration', 'h');
	if (read.ok && read.value > 0 && read.value <= LONGEST_MIN) return read.value;
	errors.push(
		read.ok ? fieldError('duration', 'durationOutOfRange', { mostDays: LONGEST_MIN / 1440 }) : fieldError('duration', 'notADuration')
	);
	return null;
}

async function materialsOf(tx: Transaction, spoolIds: string[], errors: FieldError[]): Promise<string[]> {
	const rows = await tx
		.select({ id: spool.id, material: filament.material })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.where(inArray(spool.id, spoolIds));
	spoolIds.forEach((id, i) => {
		if (!rows.some((r) => r.id === id)) errors.push(fieldError(`spoolIds.${i}`, 'unknownId', { what: 'spool' }));
	});
	return rows.map((r) => r.material);
}

function beyondDryer(setPointC: number, machine: typeof dryer.$inferSelect): FieldError[] {
	const { setPointLowC: low, setPointHighC: high, name } = machine;
	if (high !== null && setPointC > high) return [fieldError('setPoint', 'beyondDryer', { dryer: name, highC: high }, `${high} C`)];
	return low !== null && setPointC < low ? [fieldError('setPoint', 'belowDryer', { dryer: name, lowC: low }, `${low} C`)] : [];
}

async function guardSetPoint(tx: Transaction, setPointC: number, materials: string[], accepted: boolean): Promise<FieldError[]> {
	const verdict = judgeSetPoint(setPointC, materials, await loadHandbook(tx));
	switch (verdict.kind) {
		case 'softens':
			return [fieldError('setPoint', 'softens', { material: verdict.of, limitC: verdict.limitC })];
		case 'aboveRange':
			return accepted ? [] : [fieldError('setPoint', 'aboveDryingRange', { material: verdict.of }, `${verdict.limitC} C`)];
		case 'unknownMaterial':
			return accepted ? [] : [fieldError('setPoint', 'dryingNotKnown', { material: verdict.of })];
		case 'ok':
			return [];
	}
}

/** A spool is in one dryer at a time. */
async function checkFree(tx: Transaction, spoolIds: string[], errors: FieldError[]): Promise<void> {
	const rows = await tx
		.select({ spoolId: dryingRunSpool.spoolId, ended: dryingRunEnd.runId, code: spool.benchCode })
		.from(dryingRunSpool)
		.innerJoin(spool, eq(spool.id, dryingRunSpool.spoolId))
		.leftJoin(dryingRunEnd, eq(dryingRunEnd.runId, dryingRunSpool.runId))
		.where(inArray(dryingRunSpool.spoolId, spoolIds));
	for (const row of rows.filter((r) => r.ended === null))
		errors.push(fieldError(`spoolIds.${spoolIds.indexOf(row.spoolId)}`, 'inDryer', { code: row.code }));
}
