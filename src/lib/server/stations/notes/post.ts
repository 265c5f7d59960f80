import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { noteBody } from '$lib/schemas/amendment';
import type { Database, Reader } from '../../base/db/client';
import { attempt, note, reading, specimen, spool, trial } from '../../base/db/schema';
import { notFound } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

type NoteBody = z.output<typeof noteBody>;

/** A note on a trial belongs to no spool; its spool id is the trial's own, which no spool has. */
async function ownerOf(db: Reader, body: NoteBody): Promise<string> {
	if (body.targetKind === 'spool' || body.targetKind === 'trial') {
		const table = body.targetKind === 'spool' ? spool : trial;
		const [row] = await db.select({ id: table.id }).from(table).where(eq(table.id, body.targetId));
		if (!row) throw notFound(body.targetKind);
		return row.id;
	}
	const table = { attempt, reading, specimen }[body.targetKind];
	const [row] = await db.select({ id: table.spoolId }).from(table).where(eq(table.id, body.targetId));
	if (!row) throw notFound(body.targetKind);
	return row.id;
}

/** Keeps a free note on a spool, attempt, reading or trial. */
export async function postNote(db: Database, body: NoteBody, now: number): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'note', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await tx.insert(note).values({
			id: body.id,
			spoolId: await ownerOf(tx, body),
			targetKind: body.targetKind,
			targetId: body.targetId,
			text: body.text,
			at,
			zone: body.zone,
			createdAt: now
		});
		return { id: body.id };
	});
}
