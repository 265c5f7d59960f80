import { createHash } from 'node:crypto';
import { and, asc, eq, inArray } from 'drizzle-orm';
import type { z } from 'zod';
import { applyAmendments, type Amendment } from '$lib/core/record/amendments/apply';
import type { photoQuery } from '$lib/schemas/photo';
import type { Database, Reader } from '../../base/db/client';
import { attempt, photo } from '../../base/db/schema';
import { loadAmendments } from '../../record/evidence/load-events';
import { notFound, refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';
import { takePicture } from './picture';

/** Whatever came, a JPEG is kept. */
const MEDIA_TYPE = 'image/jpeg';

export type PhotoListed = { id: string; spoolId: string; attemptId: string; width: number; height: number; at: number };

/** Keeps a photograph of a print. The same one sent again under its id is kept already. */
export async function putPhoto(
	db: Database,
	given: z.output<typeof photoQuery>,
	bytes: Buffer,
	now: number
): Promise<{ answer: { id: string; width: number; height: number }; repeated: boolean }> {
	const picture = await takePicture(bytes);
	const body = { ...given, sha256: createHash('sha256').update(bytes).digest('hex') };
	return await writeOnce(db, { id: given.id, kind: 'photo', body, now }, async (tx) => {
		const at = pastInstant(given.at, now, 'at');
		const [print] = await tx.select({ spoolId: attempt.spoolId }).from(attempt).where(eq(attempt.id, given.attemptId));
		if (!print) throw refuseField('attemptId', 'unknownId', { what: 'print' });
		const { id, attemptId, zone } = given;
		const { full: bytes, small, width, height } = picture;
		const of = { spoolId: print.spoolId, targetKind: 'attempt', targetId: attemptId };
		await tx.insert(photo).values({ id, ...of, mediaType: MEDIA_TYPE, bytes, small, width, height, at, zone, createdAt: now });
		return { id, width, height };
	});
}

/** Photographs of some spools that were not marked invalid, oldest first; the pictures themselves are fetched one by one. */
export async function loadPhotos(db: Reader, spoolIds: string[]): Promise<PhotoListed[]> {
	if (spoolIds.length === 0) return [];
	const [rows, amendments] = await Promise.all([
		db
			.select({ id: photo.id, spoolId: photo.spoolId, attemptId: photo.targetId, width: photo.width, height: photo.height, at: photo.at })
			.from(photo)
			.where(and(inArray(photo.spoolId, spoolIds), eq(photo.targetKind, 'attempt')))
			.orderBy(asc(photo.at), asc(photo.id)),
		loadAmendments(db, spoolIds)
	]);
	return rows.filter((row) => applyAmendments(row, (amendments.get(row.spoolId) ?? []) as Amendment[]).status === 'counts');
}

/** One photograph as a JPEG. */
export async function photoFile(
	db: Reader,
	photoId: string,
	size: 'full' | 'small'
): Promise<{ bytes: Uint8Array<ArrayBuffer>; mediaType: string }> {
	const [row] = await db
		.select({ bytes: size === 'full' ? photo.bytes : photo.small })
		.from(photo)
		.where(eq(photo.id, photoId));
	if (!row) throw notFound('photo');
	return { bytes: new Uint8Array(row.bytes), mediaType: MEDIA_TYPE };
}
