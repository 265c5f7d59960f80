import type { SpecimenBody } from '$lib/schemas/strength';
import type { Database } from '../../base/db/client';
import { specimen } from '../../base/db/schema';
import { requireAttempt } from '../readings/post';
import { raiseRevision } from '../../record/revisions/revisions';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

/** Keeps a specimen; its loads, blows and failure follow as readings. */
export async function postSpecimen(db: Database, body: SpecimenBody, now: number): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'specimen', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		if (body.attemptId) await requireAttempt(tx, body.spoolId, body.attemptId);
		await tx.insert(specimen).values({ ...body, made: body.made || null, at, createdAt: now });
		return { id: body.id };
	});
}
