import type { z } from 'zod';
import type { eventBody } from '$lib/schemas/event';
import type { Database } from '../db/client';
import { event } from '../db/schema';
import { pastInstant } from '../time';
import { raiseRevision } from '../write/revisions';
import { writeOnce } from '../write/write-once';

/** Keeps what a tester says happened to a spool. */
export async function postEvent(
	db: Database,
	body: z.output<typeof eventBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'event', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		await tx.insert(event).values({ ...body, at, createdAt: now });
		return { id: body.id };
	});
}
