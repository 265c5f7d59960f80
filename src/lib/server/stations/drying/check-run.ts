import { eq, inArray } from 'drizzle-orm';
import { judgeSetPoint } from '$lib/core/stations/drying/set-point';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { dryingRunBody, type DryingRunBody } from '$lib/schemas/drying';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import type { Reader } from '../../base/db/client';
import { dryer, dryingRunEnd, dryingRunSpool, filament, spool } from '../../base/db/schema';
import { withFacts } from '../../record/facts/facts';
import { loadHandbook } from '../../record/handbook/handbook';
import { isFuture } from '../../base/time';
import { readTemperature } from '../../record/typed/temperature';

type Asked = Partial<Pick<DryingRunBody, 'dryerId' | 'spoolIds' | 'setPoint' | 'duration' | 'accepted' | 'at' | 'endedAt'>>;

/** A run as it was asked for; null for what was not said or cannot be read. */
export type CheckedRun = { setPointC: number | null; minutes: number | null; startedAt: number; endedAt: number | null };

/** What began longer ago is no start any more. */
const START_MS = 10 * 60_000;

/**
 * Reads a run and finds all that is wrong with it. The temperature of a start is guarded by the softest material and by what the dryer can do; what was
 * done before is recorded as it was.
 */
export async function checkRun(db: Reader, body: Asked, now: number): Promise<{ run: CheckedRun; errors: FieldError[] }> {
	const errors: FieldError[] = [];
	const { startedAt, endedAt } = checkTimes(body, now, errors);
	const setPointC = readTemperature(body.setPoint, 'setPoint', errors);
	const minutes = readDuration(body.duration, errors);
	const machine = await machineOf(db, body.dryerId, errors);
	const spoolIds = [...new Set(body.spoolIds)];
	const materials = await materialsOf(db, spoolIds, errors);
	if (setPointC !== null && machine && endedAt === null && now - startedAt <= START_MS) {
		errors.push(...beyondDryer(setPointC, machine));
		errors.push(...(await guardSetPoint(db, setPointC, materials, body.accepted ?? false)));
	}
	if (endedAt === null) errors.push(...(await stillInside(db, spoolIds)));
	return { run: { setPointC, minutes, startedAt, endedAt }, errors };
}

/** What else is wrong with a run whose body was refused. */
export const runFaultsBeside = async (body: unknown, db: Reader, now: number): Promise<FieldError[]> =>
	(await checkRun(db, readableFields(dryingRunBody, body), now)).errors;

function checkTimes(body: Asked, now: number, errors: FieldError[]): { startedAt: number; endedAt: number | null } {
	const startedAt = body.at === undefined ? now : Date.parse(body.at);
	const endedAt = body.endedAt === undefined ? null : Date.parse(body.endedAt);
	if (isFuture(startedAt, now)) errors.push(fieldError('at', 'future'));
	if (endedAt !== null && isFuture(endedAt, now)) errors.push(fieldError('endedAt', 'future'));
	else if (endedAt !== null && body.at !== undefined && endedAt < startedAt) errors.push(fieldError('endedAt', 'beforeDrying'));
	return { startedAt, endedAt };
}

const LONGEST_MIN = 14 * 24 * 60;

function readDuration(text: string | undefined, errors: FieldError[]): number | null {
	if (!text) return null;
	const read = readQuantityText(text, 'duration', 'h');
	if (read.ok && read.value > 0 && read.value <= LONGEST_MIN) return read.value;
	errors.push(
		read.ok ? fieldError('duration', 'durationOutOfRange', { mostDays: LONGEST_MIN / 1440 }) : fieldError('duration', 'notADuration')
	);
	return null;
}

type Machine = typeof dryer.$inferSelect;

async function machineOf(db: Reader, dryerId: string | undefined, errors: FieldError[]): Promise<Machine | null> {
	if (dryerId === undefined) return null;
	const [machine] = await withFacts(db, 'dryer', await db.select().from(dryer).where(eq(dryer.id, dryerId)));
	if (!machine) errors.push(fieldError('dryerId', 'unknownId', { what: 'dryer' }));
	return machine ?? null;
}

async function materialsOf(db: Reader, spoolIds: string[], errors: FieldError[]): Promise<string[]> {
	if (spoolIds.length === 0) return [];
	const rows = await db
		.select({ id: spool.id, material: filament.material })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.where(inArray(spool.id, spoolIds));
	spoolIds.forEach((id, i) => {
		if (!rows.some((r) => r.id === id)) errors.push(fieldError(`spoolIds.${i}`, 'unknownId', { what: 'spool' }));
	});
	return rows.map((r) => r.material);
}

function beyondDryer(setPointC: number, machine: Machine): FieldError[] {
	const { setPointLowC: low, setPointHighC: high, name } = machine;
	if (high !== null && setPointC > high) return [fieldError('setPoint', 'beyondDryer', { dryer: name, highC: high }, `${high} C`)];
	return low !== null && setPointC < low ? [fieldError('setPoint', 'belowDryer', { dryer: name, lowC: low }, `${low} C`)] : [];
}

async function guardSetPoint(db: Reader, setPointC: number, materials: string[], accepted: boolean): Promise<FieldError[]> {
	const verdict = judgeSetPoint(setPointC, materials, await loadHandbook(db));
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
async function stillInside(db: Reader, spoolIds: string[]): Promise<FieldError[]> {
	if (spoolIds.length === 0) return [];
	const rows = await db
		.select({ spoolId: dryingRunSpool.spoolId, ended: dryingRunEnd.runId, code: spool.benchCode })
		.from(dryingRunSpool)
		.innerJoin(spool, eq(spool.id, dryingRunSpool.spoolId))
		.leftJoin(dryingRunEnd, eq(dryingRunEnd.runId, dryingRunSpool.runId))
		.where(inArray(dryingRunSpool.spoolId, spoolIds));
	return rows
		.filter((r) => r.ended === null)
		.map((row) => fieldError(`spoolIds.${spoolIds.indexOf(row.spoolId)}`, 'inDryer', { code: row.code }));
}
