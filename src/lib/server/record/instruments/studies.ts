import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import { gaugeStudy as analyse } from '$lib/core/stations/diameter/gauge-study';
import { cellsOf } from '$lib/core/stations/diameter/study-plan';
import type { InstrumentStudy } from '$lib/core/record/evidence/instrument';
import { readReading } from '$lib/core/joins/read-reading';
import type { gaugeStudyBody } from '$lib/schemas/amendment';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { gaugeStudy, instrument } from '../../base/db/schema';
import { isValidRow } from '../rows/row-schema';
import { withFacts } from '../facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { refusedReading } from '$lib/schemas/refused-reading';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';
import { raiseSpoolsOf } from '../revisions/revisions';

/** Gauge studies of all instruments, oldest first, by instrument. Their figures are worked out from the raw readings each time. */
export async function loadStudies(db: Reader): Promise<Map<string, InstrumentStudy[]>> {
	const rows = await withFacts(db, 'gaugeStudy', await db.select().from(gaugeStudy).orderBy(asc(gaugeStudy.at), asc(gaugeStudy.id)));
	const byInstrument = new Map<string, InstrumentStudy[]>();
	for (const row of rows) {
		if (row.status !== 'counts' || !isValidRow('gauge-studies', row)) continue;
		const { id, at, instrumentId, readings } = row;
		const cells = cellsOf(readings);
		if (!cells) continue;
		const found = analyse(cells);
		const study = {
			id,
			at,
			...found.size,
			repeatabilitySd: Math.sqrt(found.repeatability + found.interaction),
			ratersSd: Math.sqrt(found.raters)
		};
		byInstrument.set(instrumentId, [...(byInstrument.get(instrumentId) ?? []), study]);
	}
	return byInstrument;
}

/** The studies of one instrument with their raw readings, newest first. */
export async function studiesOf(db: Reader, instrumentId: string) {
	const rows = await db
		.select()
		.from(gaugeStudy)
		.where(eq(gaugeStudy.instrumentId, instrumentId))
		.orderBy(asc(gaugeStudy.at), asc(gaugeStudy.id));
	return rows
		.filter((row) => isValidRow('gauge-studies', row))
		.reverse()
		.map(({ id, at, raters, readings }) => ({ id, at, raters, readings }));
}

/** Keeps a gauge study with its raw readings; what was measured with the instrument is judged anew. */
export async function postGaugeStudy(
	db: Database,
	body: z.output<typeof gaugeStudyBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'gaugeStudy', body, now }, async (tx) => {
		const [known] = await tx.select().from(instrument).where(eq(instrument.id, body.instrumentId));
		if (known?.quantity !== 'length') throw refuseField('instrumentId', 'unknownId', { what: 'caliper' });
		const errors: FieldError[] = [];
		const readings = body.readings.map(({ place, rater, typed }, i) => {
			const read = readReading('diameter', typed);
			if (!read.ok) errors.push(refusedReading(`readings.${i}.typed`, read));
			if (rater >= body.raters.length) errors.push(fieldError(`readings.${i}.rater`, 'unknownId', { what: 'rater' }));
			return { place, rater, typed, value: read.ok ? read.value : 0 };
		});
		if (errors.length > 0) throw refuse(errors);
		const cells = cellsOf(readings);
		if (cells?.[0]?.length !== body.raters.length) throw refuseField('readings', 'unbalancedStudy');
		const { id, instrumentId, raters, zone } = body;
		await tx.insert(gaugeStudy).values({ id, instrumentId, raters, readings, at: pastInstant(body.at, now, 'at'), zone, createdAt: now });
		await raiseSpoolsOf(tx, instrumentId);
		return { id };
	});
}
