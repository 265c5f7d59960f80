import type { z } from 'zod';
import type { quoteBody } from '$lib/schemas/spool';
import type { Database } from '../../base/db/client';
import { refuse, refuseField } from '../../base/problem';
import { requireFilament } from '../../record/makers/makers';
import { pastInstant } from '../../base/time';
import { raiseFilament, raiseRevision } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { keepQuote } from './keep-quote';
import { readQuote } from './read-quote';

/** A price that was seen or paid. */
export async function postQuote(
	db: Database,
	body: z.output<typeof quoteBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'quote', body, now }, async (tx) => {
		const seenAt = pastInstant(body.at, now, 'at');
		await requireFilament(tx, body.filamentId);
		const { numbers, errors } = readQuote(body);
		if (errors.length > 0) throw refuse(errors);
		if (!numbers) throw refuseField('price', 'missing');
		await raiseFilament(tx, body.filamentId);
		if (body.spoolId) await raiseRevision(tx, body.spoolId);
		const { id, filamentId, currency, quantity, quoteKind: kind, zone } = body;
		await keepQuote(tx, { id, filamentId, numbers, currency, quantity, kind, seenAt, zone }, body.spoolId, now);
		return { id: body.id };
	});
}
