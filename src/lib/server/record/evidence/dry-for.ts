import { eq } from 'drizzle-orm';
import { materialOf } from '$lib/core/judging/handbook/material-of';
import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
import type { Reader } from '../../base/db/client';
import { filament, spool } from '../../base/db/schema';
import { loadHandbook } from '../handbook/handbook';

/** For how long a dried spool of this material counts as dried in the open, h; null where the handbook does not say. */
export const dryForHours = (material: string, handbook: readonly MaterialFigures[]): number | null =>
	materialOf(material, handbook)?.dryForH?.high ?? null;

/** The same for one spool of the record. */
export async function dryForOf(db: Reader, spoolId: string): Promise<number | null> {
	const [row] = await db
		.select({ material: filament.material })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.where(eq(spool.id, spoolId));
	return row ? dryForHours(row.material, await loadHandbook(db)) : null;
}
