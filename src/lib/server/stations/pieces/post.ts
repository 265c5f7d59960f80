import { eq, max, sql } from 'drizzle-orm';
import type { z } from 'zod';
import { paramFaults, pieceKind } from '$lib/core/judging/pieces/library/library';
import { solidOf } from '$lib/core/judging/pieces/files/solid';
import { fieldError } from '$lib/schemas/field-error';
import type { pieceBody } from '$lib/schemas/piece';
import type { Database, Reader } from '../../base/db/client';
import { piece, spool } from '../../base/db/schema';
import { problem, refuse, refuseField } from '../../base/problem';
import { writeOnce } from '../../base/write/write-once';
import { geometryEngine } from './engine';
import { paramError } from '$lib/schemas/param-error';

/** Registers a piece. It never changes afterwards: a better one is a new version of it. */
export async function postPiece(
	db: Database,
	body: z.output<typeof pieceBody>,
	now: number
): Promise<{ answer: { id: string; version: number }; repeated: boolean }> {
	const made = await makeOf(body);
	return await writeOnce(db, { id: body.id, kind: 'piece', body, now }, async (tx) => {
		const family = await familyOf(tx, body);
		const { id, name, kind, params, gramsG, fileHash } = body;
		await tx.insert(piece).values({ id, ...family, name, kind, params, gramsG, fileHash, ...made, createdAt: now });
		// Every spool's evidence carries the pieces; it is rare that one is added.
		await tx.update(spool).set({ revision: sql`${spool.revision} + 1` });
		return { id, version: family.version };
	});
}

/** What follows from the sizes of a piece that is made here: its marks and its volume. */
async function makeOf(body: z.output<typeof pieceBody>): Promise<Pick<typeof piece.$inferInsert, 'marks' | 'volumeMm3'>> {
	if (body.kind === undefined || body.params === undefined) return { marks: body.marks ?? [] };
	const kind = pieceKind(body.kind);
	if (!kind) throw refuseField('kind', 'unknownId', { what: 'piece' });
	const given = body.params;
	// What is missing is told by its name; an optional size may be.
	const params = Object.fromEntries(
		kind.params.flatMap(({ id, optional }) => (optional && given[id] === undefined ? [] : [[id, given[id] ?? NaN]]))
	);
	const faults = paramFaults(kind, params);
	if (faults.length > 0) throw refuse(faults.map(paramError));
	const { volumeMm3 } = solidOf(await geometryEngine(), kind.shape(params, ''));
	return { marks: kind.marks(params), volumeMm3 };
}

/** The family a piece belongs to, and which version of it this is. A model and a made piece may follow each other: the marks say what is comparable. */
async function familyOf(tx: Reader, body: z.output<typeof pieceBody>): Promise<{ familyId: string; version: number }> {
	if (!body.replaces) return { familyId: body.id, version: 1 };
	const [before] = await tx.select().from(piece).where(eq(piece.id, body.replaces));
	if (!before) throw refuseField('replaces', 'unknownId', { what: 'piece' });
	const [newest] = await tx
		.select({ version: max(piece.version) })
		.from(piece)
		.where(eq(piece.familyId, before.familyId));
	// A version made from one that is no longer the newest would take back, unseen, what the newest changed.
	if (newest?.version != null && newest.version > before.version)
		throw problem(409, 'changedMeanwhile', {}, [
			fieldError('replaces', 'changedMeanwhile', { now: `version ${newest.version}`, yours: `version ${before.version}` })
		]);
	return { familyId: before.familyId, version: before.version + 1 };
}
