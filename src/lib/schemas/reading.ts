import { saying } from './field-error';
import { BEFORE, READING_DIRECTIONS } from '$lib/core/closed-lists';
import { z } from 'zod';
import { READING_QUANTITIES } from '$lib/core/readings/quantities';
import { id, instant, typed, words, zone } from './common';

const pixel = z.number().min(-20_000).max(40_000);

export const readingBody = z.object({
	id,
	spoolId: id,
	quantity: z.enum(Object.keys(READING_QUANTITIES) as [string, ...string[]]),
	typed: typed.refine((text) => text !== '', { error: saying('valueMissing') }).describe('the value as typed, with or without its unit'),
	accepted: z.boolean().default(false).describe('the sender was asked about an unlikely value and means it'),
	instrumentId: id.optional(),
	placeIndex: z.int().min(0).max(9999).optional(),
	positionM: z.number().min(0).max(5000).optional(),
	direction: z.enum(READING_DIRECTIONS).optional(),
	attemptId: id.optional(),
	specimenId: id.optional(),
	before: z.enum(BEFORE).optional().describe('for a weighing: what lay before it, where the record would infer otherwise'),
	ownMeasureId: id.optional(),
	scorer: words(60).optional().describe('who scored a mark, if it is to be told apart'),
	photo: z
		.object({ id, corners: z.array(z.tuple([pixel, pixel])).length(4, { error: saying('fourCorners') }) })
		.optional()
		.describe('for what was measured on a photograph: which, and the corners of the gap in its points'),
	roomTemperatureC: z.number().min(-40).max(80).optional(),
	roomHumidityPct: z.number().min(0).max(100).optional(),
	takenAt: instant,
	zone
});
export type ReadingBody = z.output<typeof readingBody>;
export type ReadingInput = z.input<typeof readingBody>;
