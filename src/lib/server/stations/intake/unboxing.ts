import type { z } from 'zod';
import { ODDITIES } from '$lib/core/stations/intake/station';
import type { unboxingBody } from '$lib/schemas/spool';
import type { Database } from '../../base/db/client';
import { keepReadings, type ReadValue } from '../../record/readings/keep-readings';
import { pastInstant } from '../../base/time';
import { raiseRevision } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';

/** What was seen at unboxing, as readings: each oddity, or the one that nothing was odd, and what was good. */
export function unboxingValues(seen: {
	nothingOdd?: boolean;
	odd?: Partial<Record<(typeof ODDITIES)[number], string>>;
	good?: string;
}): ReadValue[] {
	const base = { typedUnit: '', resolution: null };
	const good = seen.good ? [{ ...base, quantity: 'goodPoints', value: 1, typedText: seen.good }] : [];
	const odd = ODDITIES.filter((oddity) => seen.odd?.[oddity] !== undefined);
	if (odd.length > 0)
		return [...odd.map((oddity) => ({ ...base, quantity: oddity, value: 1, typedText: seen.odd?.[oddity] ?? '' })), ...good];
	return seen.nothingOdd ? [{ ...base, quantity: 'nothingOdd', value: 0, typedText: 'nothing odd' }, ...good] : good;
}

/** What was seen at unboxing, when it was not said at intake. */
export async function postUnboxing(
	db: Database,
	body: z.output<typeof unboxingBody>,
	now: number
): Promise<{ answer: { kept: number }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'unboxing', body, now }, async (tx) => {
		const takenAt = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		const values = unboxingValues(body);
		await keepReadings(tx, { spoolId: body.spoolId, takenAt, zone: body.zone, now }, values);
		return { kept: values.length };
	});
}
