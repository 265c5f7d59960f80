import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { note } from '../../base/db/schema';

export type NoteRow = { id: string; targetKind: string; targetId: string; text: string; at: number };

/** Notes of spools, oldest first; of one kind of target if asked. */
export async function loadNotes(db: Reader, spoolIds: string[], targetKind?: 'attempt'): Promise<NoteRow[]> {
	if (spoolIds.length === 0) return [];
	return await db
		.select({ id: note.id, targetKind: note.targetKind, targetId: note.targetId, text: note.text, at: note.at })
		.from(note)
		.where(and(inArray(note.spoolId, spoolIds), targetKind ? eq(note.targetKind, targetKind) : undefined))
		.orderBy(asc(note.at), asc(note.id));
}
