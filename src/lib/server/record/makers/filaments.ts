import { inArray } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { spool } from '../../base/db/schema';

/** The filament of each spool, by spool id. */
export async function loadFilamentIds(db: Reader, spoolIds: string[]): Promise<Record<string, string>> {
	if (spoolIds.length === 0) return {};
	const rows = await db.select({ id: spool.id, filamentId: spool.filamentId }).from(spool).where(inArray(spool.id, spoolIds));
	return Object.fromEntries(rows.map((r) => [r.id, r.filamentId]));
}
