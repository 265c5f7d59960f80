import { asc, eq, inArray } from 'drizzle-orm';
import { applyAmendments, type Amendment } from '$lib/core/amendments/apply';
import type { SpoolEvent } from '$lib/core/evidence/event';
import type { Reader } from '../db/client';
import { amendment, dryer, event } from '../db/schema';
import { groupBy } from './group';

/** Events of spools after amendments, in time order. */
export async function loadEvents(db: Reader, spoolIds: string[]): Promise<Map<string, SpoolEvent[]>> {
	const rows = await db
		.select({ event, dryer: dryer.name })
		.from(event)
		.leftJoin(dryer, eq(dryer.id, event.dryerId))
		.where(inArray(event.spoolId, spoolIds))
		.orderBy(asc(event.at));
	const amendments = await loadAmendments(db, spoolIds);
	const events = rows.map(({ event: row, dryer: name }) => ({
		spoolId: row.spoolId,
		event: applyAmendments(
			{ id: row.id, kind: row.kind, at: row.at, drying: dryingOf(row.detail, name) },
			amendments.get(row.spoolId) ?? []
		)
	}));
	return new Map([...groupBy(events, (e) => e.spoolId)].map(([id, list]) => [id, list.map((e) => e.event)]));
}

/** What is kept with a drying that ran on the bench's timer; a drying only said with a print has none. */
export type DryingDetail = { runId: string; startedAt: number; setPointC: number };

function dryingOf(detail: unknown, dryerName: string | null): SpoolEvent['drying'] {
	const of = detail as Partial<DryingDetail> | null;
	if (!of || of.runId === undefined || of.startedAt === undefined || of.setPointC === undefined) return null;
	return { runId: of.runId, startedAt: of.startedAt, setPointC: of.setPointC, dryer: dryerName };
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
				action: r.action,
				undoesId: r.undoesId,
				replacement: r.replacement,
				reason: r.reason,
				range: r.rangeFrom === null || r.rangeTo === null ? null : { from: r.rangeFrom, to: r.rangeTo },
				at: r.at
			}))
		])
	);
}
