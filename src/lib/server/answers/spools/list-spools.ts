import { inArray, isNull, sql } from 'drizzle-orm';
import { group } from 'd3-array';
import type { Database } from '../../base/db/client';
import { spool, trial, trialSpool } from '../../base/db/schema';
import { hiddenSpools } from '../../record/evidence/load';
import { letOthersIn } from '../../base/polite/let-others-in';
import { keepListing, keptListings } from '../trials/kept-listings';
import { benchStamp, spoolStamp, trialStamps } from '../trials/stamps';

/** Which trial a spool is judged by in lists, and the stamp of all that its numbers rest on. */
type Stamped = { spoolId: string; trialId: string | null; stamp: string };

async function stampSpools(db: Database, spoolIds: readonly string[]): Promise<Stamped[]> {
	if (spoolIds.length === 0) return [];
	const [bench, stamps, hidden, spools, memberships] = await Promise.all([
		benchStamp(db),
		trialStamps(db),
		hiddenSpools(db, [...spoolIds]),
		db
			.select({ id: spool.id, revision: spool.revision })
			.from(spool)
			.where(inArray(spool.id, [...spoolIds])),
		db
			.select({ spoolId: trialSpool.spoolId, trialId: trial.id, at: trial.createdAt })
			.from(trialSpool)
			.innerJoin(trial, sql`${trial.id} = ${trialSpool.trialId}`)
			.where(isNull(trialSpool.leftAt))
			.orderBy(trial.createdAt, trial.id)
	]);
	// The newest trial says; the last one written into the map is that.
	const newest = new Map(memberships.map((m) => [m.spoolId, m.trialId]));
	return spools.map(({ id, revision }) => {
		const trialId = newest.get(id) ?? null;
		return {
			spoolId: id,
			trialId,
			stamp: spoolStamp([trialId === null ? null : (stamps.get(trialId) ?? null), bench, id, revision, hidden.has(id)])
		};
	});
}

/**
 * What lists show of spools: kept from before where nothing has changed, worked out anew where it has, trial by trial so that one basis
 * serves all of its spools.
 * @param patienceMs so long is worked out what is not kept; the rest is left out: a page is not kept waiting for a whole record
 */
export async function toldOfSpools<T>(
	db: Database,
	spoolIds: readonly string[],
	workOut: (trialId: string | null, spoolIds: string[]) => Promise<Map<string, T>>,
	patienceMs = Infinity
): Promise<Map<string, T>> {
	const stamped = await stampSpools(db, spoolIds);
	const told = await keptListings<T>(db, 'spool', new Map(stamped.map((s) => [s.spoolId, s.stamp])));
	const stale = stamped.filter((s) => !told.has(s.spoolId));
	const began = performance.now();
	for (const [trialId, of] of group(stale, (s) => s.trialId)) {
		if (performance.now() - began > patienceMs) break;
		await letOthersIn();
		const found = await workOut(
			trialId,
			of.map((s) => s.spoolId)
		);
		for (const { spoolId, stamp } of of) {
			const one = found.get(spoolId);
			if (one === undefined) continue;
			told.set(spoolId, one);
			await keepListing(db, 'spool', spoolId, stamp, one);
		}
	}
	return told;
}
