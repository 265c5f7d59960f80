import { z } from 'zod';
import { SAID_EVENTS } from '$lib/core/record/lists/closed-lists';
import { id, instant, unlessANumber, words, zone } from './common';
import { saying } from './field-error';

/** Something that happened to a spool and that no other entry tells: a tester says it. */
export const eventBody = z.strictObject({
	id,
	spoolId: id,
	kind: z.enum(SAID_EVENTS, { error: saying('oneOf', { allowed: SAID_EVENTS.join(', ') }) }),
	portionId: id.optional().describe('the portion it happened to, by the event that cut it off'),
	portion: words(30).optional().describe('what a portion that was cut off is called'),
	humidityPct: z
		.number({ error: unlessANumber })
		.min(0, { error: saying('atLeast', { least: 0, unit: '%' }) })
		.max(100, { error: saying('atMost', { most: 100, unit: '%' }) })
		.optional()
		.describe('how humid it was in the open'),
	hours: z
		.number({ error: unlessANumber })
		.positive({ error: saying('notPositive') })
		.max(10_000)
		.optional()
		.describe('how long it was soaked'),
	at: instant,
	zone
});
