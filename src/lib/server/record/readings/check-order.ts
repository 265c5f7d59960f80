import { and, eq, inArray } from 'drizzle-orm';
import { applyAmendments } from '$lib/core/record/amendments/apply';
import { hasOrder, orderFaults, partnerOf, type OrderFault } from '$lib/core/stations/prints/marks/order';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Transaction } from '../../base/db/client';
import { reading } from '../../base/db/schema';
import { loadAmendments } from '../evidence/load-events';
import { refuse } from '../../base/problem';

/** What is wrong with a pair of marks, at its field. */
export function orderError(path: string, fault: OrderFault): FieldError {
	if (fault.code === 'alone') return fieldError(path, 'cleanStepMissing');
	return fieldError(path, fault.code === 'below' ? 'belowCoolest' : 'faultyNotBeyond', { than: fault.than });
}

/** Faults of order among the marks of prints as they stand now, each print and scorer for itself. */
export async function orderFaultsOf(tx: Transaction, attemptIds: readonly string[]): Promise<OrderFault[]> {
	if (attemptIds.length === 0) return [];
	const rows = await tx
		.select()
		.from(reading)
		.where(and(eq(reading.station, 'prints'), inArray(reading.attemptId, [...attemptIds])));
	const ordered = rows.filter((r) => hasOrder(r.quantity));
	const amendments = await loadAmendments(tx, [...new Set(ordered.map((r) => r.spoolId))]);
	const groups = new Map<string, typeof ordered>();
	for (const row of ordered) {
		const amended = applyAmendments(row, amendments.get(row.spoolId) ?? []);
		if (amended.status !== 'counts') continue;
		const key = `${row.attemptId} ${row.scorer ?? ''}`;
		groups.set(key, [...(groups.get(key) ?? []), amended]);
	}
	return [...groups.values()].flatMap((marks) => orderFaults(marks));
}

/**
 * Refuses what was just written into a print's marks when it brings them into contradiction. Faults that stood there before are not
 * this writer's: only those at `id` or at its partner by quantity count.
 */
export async function requireOrder(tx: Transaction, attemptId: string, id: string, path: string): Promise<void> {
	const [written] = await tx.select({ quantity: reading.quantity }).from(reading).where(eq(reading.id, id));
	const partner = written && partnerOf(written.quantity);
	if (!partner) return;
	const fault = (await orderFaultsOf(tx, [attemptId])).find((f) => f.id === id || f.quantity === partner);
	if (fault) throw refuse([orderError(path, fault)]);
}
