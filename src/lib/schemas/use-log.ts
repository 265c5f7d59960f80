import { saying } from './field-error';
import { PART_STATES } from '$lib/core/record/lists/closed-lists';
import { z } from 'zod';
import { id, instant, requiredWords, words, zone } from './common';

/** A part put into service. */
export const partBody = z.strictObject({ id, spoolId: id, name: requiredWords(), place: words().optional(), at: instant, zone });

/** How it was found on a day. */
export const partStateBody = z.strictObject({
	id,
	partId: id,
	state: z.enum(PART_STATES, { error: saying('oneOf', { allowed: PART_STATES.join(', ') }) }),
	note: words(2000).optional(),
	at: instant,
	zone
});

/** A part as pages are told of it. */
export type PartInService = {
	id: string;
	name: string;
	place: string | null;
	at: number;
	states: { id: string; state: (typeof PART_STATES)[number]; note: string | null; at: number }[];
};
