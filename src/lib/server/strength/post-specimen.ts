import { and, eq } from 'drizzle-orm';
import type { SpecimenBody } from '$lib/schemas/strength';
import type { Database } from '../db/client';
import { attempt, specimen } from '../db/schema';
import { refuseField } from '../problem';
import { raiseRevision } from '../readings/post';
import { pastInstant } from '../time';
import { writeOnce } from '../write/write-once';

/** Keeps a specimen; its loads, blows and failure follow as readings. */
export async function postSpecimen(db: Database, body: SpecimenBody, now: number): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'specimen', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		if (body.attemptId) {
			const [known] = await tx
				.select({ id: attempt.id })
				.from(attempt)
				.where(and(eq(attempt.id, body.attemptId), eq(attempt.spoolId, body.spoolId)));
			if (!known) throw refuseField('attemptId', 'unknownId', 'this spool has no such print');
		}
		await tx.insert(specimen).values({ ...body, at, createdAt: now });
		return { id: body.id };
	});
}
