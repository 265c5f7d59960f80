import { and, asc, inArray } from 'drizzle-orm';
import { applyAmendments } from '$lib/core/record/amendments/apply';
import type { Reader } from '../../base/db/client';
import { reading } from '../../base/db/schema';
import { loadAmendments } from '../evidence/load-events';
import { refuseField } from '../../base/problem';
import type { ReadValue } from '../readings/keep-readings';
import { fieldError, type FieldError } from '$lib/schemas/field-error';

/** A weighing of a spool, full or empty, as its corrections leave it; what was marked invalid is not among them. */
export type StandingMass = { id: string; spoolId: string; quantity: string; value: number; at: number };

/** The weighings of spools that count, in the order in which they were made. */
export async function standingMasses(db: Reader, spoolIds: readonly string[]): Promise<StandingMass[]> {
	if (spoolIds.length === 0) return [];
	const [rows, amendments] = await Promise.all([
		db
			.select({ id: reading.id, spoolId: reading.spoolId, quantity: reading.quantity, value: reading.value, at: reading.takenAt })
			.from(reading)
			.where(and(inArray(reading.spoolId, [...spoolIds]), inArray(reading.quantity, ['grossMass', 'tareMass'])))
			.orderBy(asc(reading.takenAt), asc(reading.id)),
		loadAmendments(db, [...spoolIds])
	]);
	return rows
		.map((row) => applyAmendments(row, amendments.get(row.spoolId) ?? []))
		.flatMap(({ status, value, ...rest }) => (status === 'counts' && value !== null ? [{ ...rest, value }] : []));
}

/** The gross mass holds the tare: refuses one that contradicts the other as it stands. */
export async function checkMasses(db: Reader, spoolId: string, quantity: string, valueG: number): Promise<void> {
	if (quantity !== 'grossMass' && quantity !== 'tareMass') return;
	const other = quantity === 'grossMass' ? 'tareMass' : 'grossMass';
	const last = (await standingMasses(db, [spoolId])).findLast((m) => m.quantity === other);
	if (!last) return;
	const [gross, tare] = quantity === 'grossMass' ? [valueG, last.value] : [last.value, valueG];
	if (gross <= tare) throw refuseField('typed', 'grossBelowTare', { grossG: gross, tareG: tare });
}

/** The fields of a form in which masses are typed. */
export const massFields = (body: { grossMass?: string; tare?: string }) => [
	{ path: 'grossMass', quantity: 'grossMass', text: body.grossMass },
	{ path: 'tare', quantity: 'tareMass', text: body.tare }
];

/** What contradicts between masses that were typed together. */
export function massesApart(values: readonly ReadValue[]): FieldError[] {
	const of = (quantity: string) => values.find((r) => r.quantity === quantity)?.value;
	const [grossG, tareG] = [of('grossMass'), of('tareMass')];
	return grossG !== undefined && tareG !== undefined && grossG <= tareG ? [fieldError('grossMass', 'notAboveTare', { tareG })] : [];
}
