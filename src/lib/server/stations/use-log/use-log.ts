import { asc, eq, inArray } from 'drizzle-orm';
import type { z } from 'zod';
import type { partBody, PartInService, partStateBody } from '$lib/schemas/use-log';
import type { Database, Reader } from '../../base/db/client';
import { part, partState } from '../../base/db/schema';
import { groupBy } from '../../base/group';
import { refuseField } from '../../base/problem';
import { raiseRevision } from '../../record/revisions/revisions';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

type Kept = Promise<{ answer: { id: string }; repeated: boolean }>;

/** Parts printed from spools and how they were found since, oldest first. */
export async function loadParts(db: Reader, spoolIds: string[]): Promise<PartInService[]> {
	if (spoolIds.length === 0) return [];
	const parts = await db.select().from(part).where(inArray(part.spoolId, spoolIds)).orderBy(asc(part.at), asc(part.id));
	if (parts.length === 0) return [];
	const states = await db
		.select()
		.from(partState)
		.where(
			inArray(
				partState.partId,
				parts.map((p) => p.id)
			)
		)
		.orderBy(asc(partState.at), asc(partState.id));
	const of = groupBy(states, (s) => s.partId);
	return parts.map((p) => ({
		id: p.id,
		name: p.name,
		place: p.place,
		at: p.at,
		states: (of.get(p.id) ?? []).map((s) => ({ id: s.id, state: s.state, note: s.note, at: s.at }))
	}));
}

export async function postPart(db: Database, body: z.output<typeof partBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'part', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		await tx.insert(part).values({ ...body, at, createdAt: now });
		return { id: body.id };
	});
}

export async function postPartState(db: Database, body: z.output<typeof partStateBody>, now: number): Kept {
	return await writeOnce(db, { id: body.id, kind: 'partState', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		const [known] = await tx.select({ at: part.at }).from(part).where(eq(part.id, body.partId));
		if (!known) throw refuseField('partId', 'unknownId', { what: 'part' });
		if (at < known.at) throw refuseField('at', 'beforeService');
		await tx.insert(partState).values({ ...body, at, createdAt: now });
		return { id: body.id };
	});
}
