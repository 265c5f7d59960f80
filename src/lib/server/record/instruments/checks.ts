import { raiseSpoolsOf } from '../revisions/revisions';
import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { InstrumentCheck } from '$lib/core/record/evidence/instrument';
import { checkOfReadings } from '$lib/core/record/instruments/check';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import type { instrumentCheckBody } from '$lib/schemas/amendment';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { instrument, instrumentCheck } from '../../base/db/schema';
import { isValidRow } from '../rows/row-schema';
import { withFacts } from '../facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

/** How far a reading of a check may lie from the reference, in the canonical unit: beyond it something else was measured. */
const FARTHEST = { length: { most: 1, unit: 'mm' }, mass: { most: 100, unit: 'g' } };

/** Checks of all instruments, oldest first, by instrument. Their figures are worked out from the raw readings each time. */
export async function loadChecks(db: Reader): Promise<Map<string, InstrumentCheck[]>> {
	const rows = await withFacts(
		db,
		'check',
		await db.select().from(instrumentCheck).orderBy(asc(instrumentCheck.at), asc(instrumentCheck.id))
	);
	const byInstrument = new Map<string, InstrumentCheck[]>();
	for (const row of rows) {
		if (row.status !== 'counts' || !isValidRow('instrument-checks', row)) continue;
		const figures = row.readings
			? checkOfReadings(
					row.reference,
					row.readings.map((r) => r.value)
				)
			: row.bias === null
				? null
				: { bias: row.bias, repeatability: row.repeatability, n: row.n ?? 1 };
		if (!figures) continue;
		const { id, at, reference, referenceLimit, instrumentId } = row;
		byInstrument.set(instrumentId, [...(byInstrument.get(instrumentId) ?? []), { id, at, reference, referenceLimit, ...figures }]);
	}
	return byInstrument;
}

/** Keeps a check with its raw readings; what was measured with the instrument is judged anew. */
export async function postInstrumentCheck(
	db: Database,
	body: z.output<typeof instrumentCheckBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'instrumentCheck', body, now }, async (tx) => {
		const [known] = await tx.select().from(instrument).where(eq(instrument.id, body.instrumentId));
		if (!known) throw refuseField('instrumentId', 'unknownId', { what: 'instrument' });
		const dimension = known.quantity === 'mass' ? 'mass' : 'length';
		const errors: FieldError[] = [];
		const read = (text: string, path: string, least: number): number => {
			const found = readQuantityText(text.replace(/^(\+\/-|±)\s*/, ''), dimension);
			if (found.ok && found.value >= least) return found.value;
			errors.push(fieldError(path, 'notAReference', { dimension }));
			return 0;
		};
		const reference = read(body.reference, 'reference', 1e-6);
		const referenceLimit = body.referenceLimit === '' ? 0 : read(body.referenceLimit, 'referenceLimit', 0);
		const readings = body.readings.map((typed, i) => ({ typed, value: read(typed, `readings.${i}`, 1e-6) }));
		const farthest = FARTHEST[dimension];
		if (errors.length === 0)
			readings.forEach(({ value }, i) => {
				if (Math.abs(value - reference) > farthest.most) errors.push(fieldError(`readings.${i}`, 'farFromReference', farthest));
			});
		if (errors.length > 0) throw refuse(errors);
		const { id, instrumentId, zone } = body;
		await tx
			.insert(instrumentCheck)
			.values({ id, instrumentId, reference, referenceLimit, readings, at: pastInstant(body.at, now, 'at'), zone, createdAt: now });
		await raiseSpoolsOf(tx, instrumentId);
		return { id };
	});
}
