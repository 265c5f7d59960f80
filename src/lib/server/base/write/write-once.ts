import { fieldError } from '$lib/schemas/field-error';
import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Database, Transaction } from '../db/client';
import { isDuplicate, withRetry } from '../db/errors';
import { writeLog } from '../db/schema';
import { problem } from '../problem';
import { canonical } from './canonical';
import { clockAheadMs } from './clock-ahead';

/**
 * Runs a write exactly once for an id made where the evidence was entered, and answers after COMMIT only.
 * Same id and same body again: the first answer again. Same id with another body: 409. A failed write leaves nothing.
 */
export async function writeOnce<T>(
	db: Database,
	given: { id: string; kind: string; body: unknown; now: number },
	write: (tx: Transaction) => Promise<T>
): Promise<{ answer: T; repeated: boolean }> {
	const bodyHash = createHash('sha256')
		.update(`${given.kind}\n${canonical(given.body)}`)
		.digest();
	return await withRetry(async () => {
		const before = await first<T>(db, given.id, bodyHash);
		if (before) return before;
		try {
			const answer = await db.transaction(async (tx) => {
				// Taken first: two senders of one id queue here instead of both writing. The empty answer is never seen: it is filled before COMMIT.
				await tx
					.insert(writeLog)
					.values({ id: given.id, kind: given.kind, bodyHash, answer: {}, at: given.now, clockAheadMs: clockAheadMs() });
				const made = await write(tx);
				await tx.update(writeLog).set({ answer: made }).where(eq(writeLog.id, given.id));
				return made;
			});
			return { answer, repeated: false };
		} catch (error) {
			if (!isDuplicate(error)) throw error;
			const after = await first<T>(db, given.id, bodyHash);
			if (after) return after;
			throw error;
		}
	});
}

async function first<T>(db: Database, id: string, bodyHash: Buffer): Promise<{ answer: T; repeated: boolean } | null> {
	const [row] = await db.select().from(writeLog).where(eq(writeLog.id, id));
	if (!row) return null;
	if (!row.bodyHash.equals(bodyHash)) throw problem(409, 'idReused', {}, [fieldError('id', 'idReused')]);
	return { answer: row.answer as T, repeated: true };
}
