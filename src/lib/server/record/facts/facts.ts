import { asc, eq, inArray, and } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { AMENDED_FACTS, AMENDED_KINDS } from '$lib/core/record/lists/closed-lists';
import { applyAmendments, type Amendment } from '$lib/core/record/amendments/apply';
import type { Amended } from '$lib/core/record/evidence/amended';
import type { Reader, Transaction } from '../../base/db/client';
import { amendment } from '../../base/db/schema';
import { groupBy } from '../../base/group';

/** Things whose plain facts may be said better later. */
type FactKind = (typeof AMENDED_FACTS)[number];
/** What is marked invalid with reasons, and counts no more. */
type Judged = Extract<(typeof AMENDED_KINDS)[number], 'check' | 'gaugeStudy' | 'dryerCheck'>;

/** Keeps later facts of a trial, a printer or the like as an amendment; the first row stays as it was. Empty facts are left out. */
export async function amendFacts(
	tx: Transaction,
	kind: FactKind,
	{ id: targetId, facts, reason = 'said later', now }: { id: string; facts: Record<string, unknown>; reason?: string; now: number }
): Promise<void> {
	const said = Object.fromEntries(Object.entries(facts).filter(([, v]) => v !== undefined));
	if (Object.keys(said).length === 0) return;
	await tx.insert(amendment).values({
		id: v7(),
		// No spool has the id of a trial or printer; its own stands there.
		spoolId: targetId,
		targetKind: kind,
		targetId,
		action: 'correct',
		replacement: said,
		reason,
		at: now,
		createdAt: now
	});
}

/** What was said later of things of one kind, by the id of each, in the order in which it was said. */
export async function factsOf(db: Reader, kind: FactKind | Judged, ids: readonly string[]): Promise<Map<string, Amendment[]>> {
	if (ids.length === 0) return new Map();
	const found = await db
		.select()
		.from(amendment)
		.where(and(eq(amendment.targetKind, kind), inArray(amendment.targetId, [...new Set(ids)])))
		.orderBy(asc(amendment.seq));
	return groupBy(found as Amendment[], (a) => a.targetId);
}

/** Rows as their later facts leave them. */
export async function withFacts<T extends { id: string }>(db: Reader, kind: FactKind | Judged, rows: T[]): Promise<(T & Amended)[]> {
	const of = await factsOf(
		db,
		kind,
		rows.map((r) => r.id)
	);
	return rows.map((row) => applyAmendments(row, of.get(row.id) ?? []));
}

/** Whether a row was put away, as its later facts leave it. */
export const isArchived = (row: { id: string; archived?: unknown }): boolean => row.archived === true;
