import { z } from 'zod';
import { SAID_EVENTS } from '$lib/core/closed-lists';
import { id, instant, zone } from './common';
import { saying } from './field-error';

/** Something that happened to a spool and that no other entry tells: a tester says it. */
export const eventBody = z.object({
	id,
	spoolId: id,
	kind: z.enum(SAID_EVENTS, { error: saying('oneOf', { allowed: SAID_EVENTS.join(', ') }) }),
	at: instant,
	zone
});
