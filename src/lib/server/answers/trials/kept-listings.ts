import { and, eq, inArray } from 'drizzle-orm';
import type { Database, Reader } from '../../base/db/client';
import { keptListing } from '../../base/db/schema';

type Kind = (typeof keptListing.$inferSelect)['kind'];

/** What was kept of things of one kind under the stamps they have now; what has another stamp is not among it. */
export async function keptListings<T>(db: Reader, kind: Kind, stamps: ReadonlyMap<string, string>): Promise<Map<string, T>> {
	const ids = [...stamps.keys()];
	const found = new Map<string, T>();
	for (let i = 0; i < ids.length; i += 1000)
		for (const row of await db
			.select()
			.from(keptListing)
			.where(and(eq(keptListing.kind, kind), inArray(keptListing.id, ids.slice(i, i + 1000)))))
			if (row.stamp === stamps.get(row.id)) found.set(row.id, row.content as T);
	return found;
}

/** Keeps what was worked out, in place of what was kept before. Not evidence: losing it costs time, no number. */
export async function keepListing(db: Database, kind: Kind, id: string, stamp: string, content: unknown): Promise<void> {
	await db.insert(keptListing).values({ kind, id, stamp, content }).onDuplicateKeyUpdate({ set: { stamp, content } });
}
