import { asc, inArray, sql } from 'drizzle-orm';
import type { Reading, READING_CONTEXT, ReadingContext } from '$lib/core/record/evidence/reading';
import type { Reader } from '../../base/db/client';
import { uuidText } from '../../base/db/columns';
import { reading } from '../../base/db/schema';

type Raw = Omit<Reading, 'status' | 'corrected' | 'confirmed'> & { spoolId: string };

/** The row as the driver gives it: ids as bytes, a moment as a number or its text. */
type Row = {
	[F in keyof Raw]: F extends IdField ? (null extends Raw[F] ? Buffer | null : Buffer) : F extends 'takenAt' ? number | string : Raw[F];
};
type IdField =
	'id' | 'spoolId' | { [F in keyof ReadingContext]: (typeof READING_CONTEXT)[F] extends 'id' ? F : never }[keyof ReadingContext];

const COLUMNS = {
	id: reading.id,
	spoolId: reading.spoolId,
	station: reading.station,
	quantity: reading.quantity,
	value: reading.value,
	typedText: reading.typedText,
	typedUnit: reading.typedUnit,
	resolution: reading.resolution,
	takenAt: reading.takenAt,
	instrumentId: reading.instrumentId,
	placeIndex: reading.placeIndex,
	positionM: reading.positionM,
	direction: reading.direction,
	attemptId: reading.attemptId,
	specimenId: reading.specimenId,
	before: reading.before,
	ownMeasureId: reading.ownMeasureId,
	scorer: reading.scorer
} satisfies Record<keyof Row, unknown>;

const idOrNull = (bytes: Buffer | null): string | null => (bytes === null ? null : uuidText(bytes));

/**
 * Readings of spools in the order they were taken, as they stand before any amendment. The one query that is not left to Drizzle's row mapping: on ten thousand
 * rows that took three times as long as the query (docs/decisions/0010).
 */
export async function readReadings(db: Reader, spoolIds: string[]): Promise<{ spoolId: string; reading: Reading }[]> {
	const columns = sql.join(
		Object.entries(COLUMNS).map(([name, column]) => sql`${column} AS ${sql.identifier(name)}`),
		sql`, `
	);
	const [rows] = await db.execute(sql`
		SELECT ${columns} FROM ${reading} WHERE ${inArray(reading.spoolId, spoolIds)} ORDER BY ${asc(reading.takenAt)}, ${asc(reading.id)}`);
	// Written out field by field: objects of one shape are several times cheaper than spread ones.
	return (rows as unknown as Row[]).map((row) => ({
		spoolId: uuidText(row.spoolId),
		reading: {
			id: uuidText(row.id),
			station: row.station,
			quantity: row.quantity,
			value: row.value,
			typedText: row.typedText,
			typedUnit: row.typedUnit,
			resolution: row.resolution,
			takenAt: Number(row.takenAt),
			instrumentId: idOrNull(row.instrumentId),
			placeIndex: row.placeIndex,
			positionM: row.positionM,
			direction: row.direction,
			attemptId: idOrNull(row.attemptId),
			specimenId: idOrNull(row.specimenId),
			before: row.before,
			ownMeasureId: idOrNull(row.ownMeasureId),
			scorer: row.scorer,
			status: 'counts',
			corrected: false,
			confirmed: false
		}
	}));
}
