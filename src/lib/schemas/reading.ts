import { saying } from './field-error';
import { BEFORE, READING_DIRECTIONS } from '$lib/core/record/lists/closed-lists';
import type { READING_CONTEXT, ReadingContext } from '$lib/core/record/evidence/reading';
import { z } from 'zod';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { id, instant, typed, words, zone } from './common';

const pixel = z.number().min(-20_000).max(40_000);

/** What may stand beside the value, field by field: body, outbox and files take it from here. */
export const readingContext = {
	instrumentId: id.optional(),
	placeIndex: z.int().min(0).max(9999).optional(),
	positionM: z.number().min(0).max(5000).optional(),
	direction: z.enum(READING_DIRECTIONS).optional(),
	attemptId: id.optional(),
	specimenId: id.optional(),
	ownMeasureId: id.optional(),
	before: z.enum(BEFORE).optional().describe('for a weighing: what lay before it, where the record would infer otherwise'),
	scorer: words(60).optional().describe('who scored a mark, if it is to be told apart')
} satisfies { [F in keyof ReadingContext]: z.ZodOptional<z.ZodType<NonNullable<ReadingContext[F]>>> };

/** The fields of the context that a file may hold as they are; ids are checked as references. */
export const readingContextCells = {
	placeIndex: readingContext.placeIndex.unwrap(),
	positionM: readingContext.positionM.unwrap(),
	direction: readingContext.direction.unwrap(),
	before: readingContext.before.unwrap(),
	scorer: readingContext.scorer.unwrap()
} satisfies Record<PlainField, z.ZodType>;

type PlainField = { [F in keyof ReadingContext]: (typeof READING_CONTEXT)[F] extends 'plain' ? F : never }[keyof ReadingContext];

export const readingBody = z.strictObject({
	id,
	spoolId: id,
	quantity: z.enum(Object.keys(READING_QUANTITIES) as [string, ...string[]]),
	typed: typed.refine((text) => text !== '', { error: saying('valueMissing') }).describe('the value as typed, with or without its unit'),
	accepted: z.boolean().default(false).describe('the sender was asked about an unlikely value and means it'),
	...readingContext,
	photo: z
		.strictObject({ id, corners: z.array(z.tuple([pixel, pixel])).length(4, { error: saying('fourCorners') }) })
		.optional()
		.describe('for what was measured on a photograph: which, and the corners of the gap in its points'),
	roomTemperatureC: z.number().min(-40).max(80).optional(),
	roomHumidityPct: z.number().min(0).max(100).optional(),
	takenAt: instant,
	zone
});
export type ReadingBody = z.output<typeof readingBody>;
export type ReadingInput = z.input<typeof readingBody>;
