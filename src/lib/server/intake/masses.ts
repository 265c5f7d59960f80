import { and, desc, eq } from 'drizzle-orm';
import type { Reader } from '../db/client';
import { reading } from '../db/schema';
import { refuseField } from '../problem';
import type { ReadValue } from '../readings/keep-readings';
import { fieldError, type FieldError } from '$lib/schemas/field-error';

/** The gross mass holds the tare: refuses one that contradicts the other as last weighed. */
export async function checkMasses(db: Reader, spoolId: string, quantity: string, valueG: number): Promise<void> {
	if (quantity !== 'grossMass' && quantity !== 'tareMass') return;
	const other = quantity === 'grossMass' ? 'tareMass' : 'grossMass';
	const [last] = await db
		.select({ value: reading.value })
		.from(reading)
		.where(and(eq(reading.spoolId, spoolId), eq(reading.quantity, other)))
		.orderBy(desc(reading.takenAt))
		.limit(1);
	if (last?.value === null || last?.value === undefined) return;
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
