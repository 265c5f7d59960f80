import { and, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { eventBody } from '$lib/schemas/event';
import type { Database, Transaction } from '../../base/db/client';
import { event } from '../../base/db/schema';
import { refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { raiseRevision } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';

/** Keeps what a tester says happened to a spool. */
export async function postEvent(
	db: Database,
	body: z.output<typeof eventBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'event', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		const { id, spoolId, kind, zone, portionId } = body;
		if (portionId) await requirePortion(tx, spoolId, portionId);
		const { portion, humidityPct, hours } = body;
		const said = Object.fromEntries(
			Object.entries({ portion: portion || undefined, humidityPct, hours }).filter(([, v]) => v !== undefined)
		);
		const detail = Object.keys(said).length > 0 ? said : null;
		await tx.insert(event).values({ id, spoolId, kind, at, zone, portionId, detail, createdAt: now });
		return { id: body.id };
	});
}

/** A portion is of one spool, and was cut off it. */
export async function requirePortion(tx: Transaction, spoolId: string, portionId: string, path = 'portionId'): Promise<void> {
	const [cut] = await tx
		.select({ id: event.id })
		.from(event)
		.where(and(eq(event.id, portionId), eq(event.spoolId, spoolId), eq(event.kind, 'cutOff')));
	if (!cut) throw refuseField(path, 'unknownId', { what: 'portion' });
}
