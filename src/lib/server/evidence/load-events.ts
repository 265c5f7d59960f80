import { asc, inArray } from 'drizzle-orm';
import { applyAmendments, type Amendment } from '$lib/core/amendments/apply';
import type { SpoolEvent } from '$lib/core/evidence';
import type { Reader } from '../db/client';
import { amendment, event } from '../db/schema';
import { groupBy } from './group';

/** Events of spools after amendments, in time order. */
export async function loadEvents(db: Reader, spoolIds: string[]): Promise<Map<string, SpoolEvent[]>> {
	const rows = await db.select().from(event).where(inArray(event.spoolId, spoolIds)).orderBy(asc(event.at));
	const amendments = await loadAmendments(db, spoolIds);
	const events = rows.map((row) => ({
		spoolId: row.spoolId,
		event: applyAmendments({ id: row.id, kind: row.kind as SpoolEvent['kind'], at: row.at }, amendments.get(row.spoolId) ?? [])
	}));
	return new Map([...groupBy(events, (e) => e.spoolId)].map(([id, list]) => [id, list.map((e) => e.event)]));
}

export type SpoolAmendment = Amendment & { targetKind: string };

export async function loadAmendments(db: Reader, spoolIds: string[]): Promise<Map<string, SpoolAmendment[]>> {
	const rows = await db.select().from(amendment).where(inArray(amendment.spoolId, spoolIds)).orderBy(asc(amendment.at));
	return new Map(
		[...groupBy(rows, (r) => r.spoolId)].map(([id, list]) => [
			id,
			list.map((r) => ({
				id: r.id,
				targetKind: r.targetKind,
				targetId: r.targetId,
				action: r.action as Amendment['action'],
				undoesId: r.undoesId,
				replacement: r.replacement,
				reason: r.reason,
				at: r.at
			}))
		])
	);
}
