import { asc, inArray, sql } from 'drizzle-orm';
import type { Reading } from '$lib/core/evidence/reading';
import type { Reader } from '../db/client';
import { uuidText } from '../db/columns';
import { reading } from '../db/schema';

type Row = Omit<Reading, 'id' | 'instrumentId' | 'attemptId' | 'specimenId' | 'ownMeasureId' | 'takenAt'> & {
	id: Buffer;
	spoolId: Buffer;
	instrumentId: Buffer | null;
	attemptId: Buffer | null;
	specimenId: Buffer | null;
	ownMeasureId: Buffer | null;
	takenAt: number | string;
};

const idOrNull = (bytes: Buffer | null): string | null => (bytes === null ? null : uuidText(bytes));

/**
 * Readings of spools in the order they were taken, as they stand before any amendment. The one query that is not left to Drizzle's row mapping: on ten thousand
 * rows that took three times as long as the query (docs/decisions/0010).
 */
export async function readReadings(db: Reader, spoolIds: string[]): Promise<{ spoolId: string; reading: Reading }[]> {
	const [rows] = await db.execute(sql`
		SELECT ${reading.id} AS id, ${reading.spoolId} AS spoolId, ${reading.station} AS station, ${reading.quantity} AS quantity,
			${reading.value} AS value, ${reading.typedText} AS typedText, ${reading.typedUnit} AS typedUnit, ${reading.resolution} AS resolution,
			${reading.takenAt} AS takenAt, ${reading.instrumentId} AS instrumentId, ${reading.placeIndex} AS placeIndex,
			${reading.positionM} AS positionM, ${reading.direction} AS direction, ${reading.attemptId} AS attemptId, ${reading.specimenId} AS specimenId,
			${reading.before} AS \`before\`, ${reading.ownMeasureId} AS ownMeasureId, ${reading.scorer} AS scorer
		FROM ${reading} WHERE ${inArray(reading.spoolId, spoolIds)} ORDER BY ${asc(reading.takenAt)}, ${asc(reading.id)}`);
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
