import { LOAD_METHODS, ORIENTATIONS } from '$lib/core/closed-lists';
import { z } from 'zod';
import { id, instant, requiredWords, zone } from './common';

/** One thing that is loaded; what happens to it follows as readings that name it. */
export const specimenBody = z.object({
	id,
	spoolId: id,
	shape: requiredWords(60).describe('such as hook, bar, bracket'),
	orientation: z.enum(ORIENTATIONS).describe('how it lay on the bed'),
	method: z.enum(LOAD_METHODS),
	attemptId: id.optional(),
	at: instant,
	zone
});
export type SpecimenBody = z.output<typeof specimenBody>;
