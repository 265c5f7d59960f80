import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { archivingBody } from '$lib/schemas/archiving';
import type { Database } from '../../base/db/client';
import { dryer, instrument, piece, printer, spool, trial, verdict } from '../../base/db/schema';
import { notFound } from '../../base/problem';
import { writeOnce } from '../../base/write/write-once';
import { amendFacts } from './facts';

const TABLES = { trial, spool, instrument, printer, dryer, piece, verdict };

/** Takes something out of the lists people choose from, or puts it back. No evidence changes by it, so nothing is found anew. */
export async function postArchiving(
	db: Database,
	body: z.output<typeof archivingBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'archiving', body, now }, async (tx) => {
		const { kind, targetId, archived } = body;
		const table = TABLES[kind];
		const [known] = await tx.select({ id: table.id }).from(table).where(eq(table.id, targetId));
		if (!known) throw notFound(kind);
		await amendFacts(tx, kind, { id: targetId, facts: { archived }, reason: archived ? 'archived' : 'brought back', now });
		return { id: body.id };
	});
}
