import { asc, eq, inArray, and } from 'drizzle-orm';
import { v7 } from 'uuid';
import { applyAmendments, type Amendment } from '$lib/core/amendments/apply';
import type { Reader, Transaction } from '../db/client';
import { amendment } from '../db/schema';
import { groupBy } from '../evidence/group';

/** Things outside any spool whose plain facts may be said better later. */
type FactKind = 'trial' | 'printer';

/** Keeps later facts of a trial or printer as an amendment; the first row stays as it was. Empty facts are left out. */
export async function amendFacts(
	tx: Transaction,
	kind: FactKind,
	targetId: string,
	facts: Record<string, unknown>,
	now: number
): Promise<void> {
	const said = Object.fromEntries(Object.entries(facts).filter(([, v]) => v !== undefined));
	if (Object.keys(said).length === 0) return;
	await tx.insert(amendment).values({
		id: v7(),
		// No spool has the id of a trial or printer.
		spoolId: targetId,
		targetKind: kind,
		targetId,
		action: 'correct',
		replacement: said,
		reason: 'said later',
		at: now,
		createdAt: now
	});
}

/** Rows as their later facts leave them. */
export async function withFacts<T extends { id: string }>(db: Reader, kind: FactKind, rows: T[]): Promise<T[]> {
	if (rows.length === 0) return rows;
	const found = await db
		.select()
		.from(amendment)
		.where(
			and(
				eq(amendment.targetKind, kind),
				inArray(
					amendment.targetId,
					rows.map((r) => r.id)
				)
			)
		)
		.orderBy(asc(amendment.at), asc(amendment.id));
	const of = groupBy(found, (a) => a.targetId);
	return rows.map((row) => applyAmendments(row, (of.get(row.id) ?? []) as Amendment[]));
}
