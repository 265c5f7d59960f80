import type { OwnMeasure } from '$lib/core/evidence/own-measure';
import type { ownMeasure } from '../db/schema';

/** An own measure as core takes it. */
export const asOwnMeasure = ({ id, name, unit, direction, scaleLow, scaleHigh }: typeof ownMeasure.$inferSelect): OwnMeasure => ({
	id,
	name,
	unit,
	direction,
	low: scaleLow,
	high: scaleHigh
});
