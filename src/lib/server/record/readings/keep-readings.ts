import { v7 } from 'uuid';
import { UNBOXING_READINGS } from '$lib/core/stations/intake/station';
import { contextOfReading, type ReadingContext } from '$lib/core/record/evidence/reading';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { readReading } from '$lib/core/joins/read-reading';
import type { FieldError } from '$lib/schemas/field-error';
import { refusedReading } from '$lib/schemas/refused-reading';
import type { Transaction } from '../../base/db/client';
import { reading } from '../../base/db/schema';

type Row = typeof reading.$inferInsert;

/** A value as it was read from what was typed. */
export type ReadValue = Pick<Row, 'quantity' | 'typedText' | 'typedUnit'> & { value: number; resolution: number | null };

/** Of which spool, when and where it was taken, and when it is written. */
export type Taken = { spoolId: string; takenAt: number; zone: string; now: number };

type Given = ReadValue &
	Partial<ReadingContext> &
	Pick<Row, 'roomTemperatureC' | 'roomHumidityPct' | 'photoId' | 'photoCorners' | 'instrumentCheckId'> & { id?: string };

const isSeenAtUnboxing = (quantity: string): boolean => (UNBOXING_READINGS as readonly string[]).includes(quantity);

/** The station a quantity belongs to: what is seen at unboxing is no quantity that is typed. */
const stationOf = (quantity: string): string => (isSeenAtUnboxing(quantity) ? 'intake' : (READING_QUANTITIES[quantity]?.station ?? 'own'));

/** Every raw reading is written here, whatever form or station it came by. Inside a running write. */
export async function keepReadings(tx: Transaction, { spoolId, takenAt, zone, now }: Taken, given: readonly Given[]): Promise<void> {
	if (given.length === 0) return;
	await tx.insert(reading).values(
		given.map(({ id, ...row }) => ({
			...row,
			...contextOfReading(row),
			id: id ?? v7(),
			station: stationOf(row.quantity),
			spoolId,
			takenAt,
			zone,
			createdAt: now
		}))
	);
}

/**
 * Texts of some fields as values; what cannot be read is added to the errors, and empty fields are left out.
 * @param fields where each was typed (`path`), and what it is
 */
export function readFields(
	fields: readonly { path: string; quantity: string; text: string | undefined }[],
	errors: FieldError[]
): ReadValue[] {
	return fields.flatMap(({ path, quantity, text }): ReadValue[] => {
		if (!text) return [];
		const read = readReading(quantity, text);
		if (!read.ok) {
			errors.push(refusedReading(path, read));
			return [];
		}
		const { value, typedText, typedUnit, resolution } = read;
		return [{ quantity, value, typedText, typedUnit, resolution }];
	});
}
