import { asc } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { gaugeStudy, instrumentCheck } from '../../base/db/schema';
import { groupBy } from '../../base/group';
import { withFacts } from '../facts/facts';

type Struck = { id: string; kind: 'check' | 'gaugeStudy'; instrumentId: string; at: number };

/** Checks and gauge studies that were marked invalid, by instrument: they count no more, and may be brought back. */
export async function loadStruck(db: Reader): Promise<Map<string, Struck[]>> {
	const [checks, studies] = await Promise.all([
		db.select().from(instrumentCheck).orderBy(asc(instrumentCheck.at)),
		db.select().from(gaugeStudy).orderBy(asc(gaugeStudy.at))
	]);
	const struck = async (kind: Struck['kind'], rows: { id: string; instrumentId: string; at: number }[]): Promise<Struck[]> =>
		(await withFacts(db, kind, rows)).flatMap(({ id, instrumentId, at, status }) =>
			status === 'excluded' ? [{ id, kind, instrumentId, at }] : []
		);
	return groupBy([...(await struck('check', checks)), ...(await struck('gaugeStudy', studies))], (s) => s.instrumentId);
}
