import { readReading } from '$lib/core/joins/read-reading';
import { contextOfReading, type Reading } from '$lib/core/record/evidence/reading';
import { readingContext } from '$lib/schemas/reading';
import { z } from 'zod';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { OutboxItem } from './outbox';

/**
 * The evidence of a spool as the bench sees it now: what the server has kept, what still waits in the outbox (readings and
 * what was taken back), and what was just acknowledged but not loaded again.
 */
export function withLocal(evidence: SpoolEvidence, local: readonly Reading[], takenBack: ReadonlySet<string>): SpoolEvidence {
	const kept = new Set(evidence.readings.map((r) => r.id));
	const more = local.filter((r) => !kept.has(r.id));
	// The very same where there is nothing to lay over: what was worked out from it still holds.
	if (more.length === 0 && !evidence.readings.some((r) => takenBack.has(r.id))) return evidence;
	const all = [...evidence.readings, ...more];
	return { ...evidence, readings: all.map((r) => (takenBack.has(r.id) ? { ...r, status: 'excluded' as const } : r)) };
}

const context = z.object(readingContext);

/** A waiting capture as the reading it will become; null when it is no reading of this spool and quantity. */
export function readingOfItem(item: OutboxItem, station: string): (Reading & { spoolId: string }) | null {
	const body = item.body;
	if (
		item.path !== 'readings' ||
		item.refused ||
		typeof body.quantity !== 'string' ||
		typeof body.typed !== 'string' ||
		typeof body.spoolId !== 'string'
	)
		return null;
	const read = readReading(body.quantity, body.typed, ownReadBy(body.ownUnit));
	if (!read.ok) return null;
	const { ok: _, ...value } = read;
	const said = context.safeParse(body);
	return {
		id: item.id,
		spoolId: body.spoolId,
		station,
		quantity: body.quantity,
		...value,
		takenAt: Date.parse(String(body.takenAt)),
		...contextOfReading(said.success ? said.data : {}),
		status: 'counts',
		corrected: false,
		confirmed: false
	};
}

/** What a waiting own measure is read by, as it was put into the outbox: its unit or its words. */
function ownReadBy(own: unknown): string | readonly string[] {
	if (Array.isArray(own)) return own.filter((word) => typeof word === 'string');
	return typeof own === 'string' ? own : '';
}
