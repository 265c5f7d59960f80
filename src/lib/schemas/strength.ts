import { LOAD_METHODS, ORIENTATIONS } from '$lib/core/record/lists/closed-lists';
import { z } from 'zod';
import { id, instant, requiredWords, unlessANumber, words, zone } from './common';
import { saying } from './field-error';

const specimenFields = {
	shape: requiredWords(60).describe('such as hook, bar, bracket'),
	orientation: z.enum(ORIENTATIONS).describe('how it lay on the bed'),
	method: z.enum(LOAD_METHODS)
};
const nozzleC = z
	.number({ error: unlessANumber })
	.min(20, { error: saying('atLeast', { least: 20, unit: 'C' }) })
	.max(500, { error: saying('atMost', { most: 500, unit: 'C' }) });

/** One thing that is loaded; what happens to it follows as readings that name it. */
export const specimenBody = z.strictObject({
	id,
	spoolId: id,
	...specimenFields,
	attemptId: id.optional().describe('the print it was taken from'),
	nozzleC: nozzleC.optional().describe('nozzle temperature it was printed at, C; else that of its print'),
	made: words(60).optional().describe('how it was printed otherwise, such as four walls'),
	at: instant,
	zone
});
/** What a correction of a specimen may supersede; null for what is not known after all. */
export const specimenReplacement = z
	.strictObject({ ...specimenFields, nozzleC: nozzleC.nullable(), made: words(60).nullable() })
	.partial()
	.refine((r) => Object.keys(r).length > 0, { error: saying('nothingCorrected') });

export type SpecimenBody = z.output<typeof specimenBody>;
