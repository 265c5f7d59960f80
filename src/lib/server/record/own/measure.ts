import type { OwnMeasure } from '$lib/core/record/evidence/own-measure';
import { asc } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { ownMeasure } from '../../base/db/schema';
import { withFacts } from '../facts/facts';

type Row = typeof ownMeasure.$inferSelect;

/** Every own measure as it stands, the oldest first. */
export async function loadMeasures(db: Reader): Promise<Row[]> {
	return await withFacts(db, 'ownMeasure', await db.select().from(ownMeasure).orderBy(asc(ownMeasure.createdAt), asc(ownMeasure.id)));
}

/** An own measure as core takes it. */
export const asOwnMeasure = ({ id, name, unit, direction, scaleLow, scaleHigh, words, family }: Row, here: boolean): OwnMeasure => ({
	id,
	name,
	unit,
	direction,
	low: scaleLow,
	high: scaleHigh,
	words,
	family,
	here
});

/** What a reading of it is read by: its words, or its unit. */
export const readBy = ({ words, unit }: Pick<Row, 'words' | 'unit'>): string | readonly string[] => words ?? unit;
