import type { OwnMeasure } from '$lib/core/evidence/own-measure';
import type { ownMeasure } from '../db/schema';

type Row = typeof ownMeasure.$inferSelect;

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
