import { desc } from 'drizzle-orm';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
import { materialClass } from '$lib/core/judging/handbook/material-class';
import type { Reader } from '../../base/db/client';
import { houseSpool } from '../../base/db/schema';

/** The spool the tester always buys, if one was named. */
export async function currentHouseSpool(db: Reader): Promise<string | null> {
	const [row] = await db.select({ id: houseSpool.spoolId }).from(houseSpool).orderBy(desc(houseSpool.seq)).limit(1);
	return row?.id ?? null;
}

/**
 * Which of a trial's house spools stand beside its candidates: those of the material of some candidate. A rigid spool says nothing of flexible ones;
 * whoever wants it there all the same makes it a candidate.
 */
export function housesBeside(
	houses: readonly SpoolEvidence[],
	candidates: readonly SpoolEvidence[],
	handbook: MaterialFigures[]
): SpoolEvidence[] {
	const classOf = ({ spool }: SpoolEvidence) => materialClass(spool.material, handbook);
	return candidates.length === 0 ? [...houses] : houses.filter((house) => candidates.some((c) => classOf(c) === classOf(house)));
}
