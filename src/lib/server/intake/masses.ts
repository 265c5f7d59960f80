import { and, desc, eq } from 'drizzle-orm';
import type { Reader } from '../db/client';
import { reading } from '../db/schema';
import { refuseField } from '../problem';

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
