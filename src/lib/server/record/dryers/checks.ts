import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { DryerCheck } from '$lib/core/record/evidence/dryer-check';
import type { dryerCheckBody } from '$lib/schemas/drying';
import type { FieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../../base/db/client';
import { dryer, dryerCheck } from '../../base/db/schema';
import { groupBy } from '../../base/group';
import { refuse, refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';
import { withFacts } from '../facts/facts';
import { raiseSpoolsDriedIn } from '../revisions/revisions';
import { isValidRow } from '../rows/row-schema';
import { readTemperature } from '../typed/temperature';

export type CheckedDryers = { counts: Map<string, DryerCheck[]>; struck: Map<string, DryerCheck[]> };

/** Checks of all dryers by dryer, oldest first: those that count, and those that were marked invalid. */
export async function loadDryerChecks(db: Reader): Promise<CheckedDryers> {
	const rows = await db.select().from(dryerCheck).orderBy(asc(dryerCheck.at), asc(dryerCheck.id));
	const told = (await withFacts(db, 'dryerCheck', rows)).filter((row) => isValidRow('dryer-checks', row));
	const by = (status: 'counts' | 'excluded') =>
		new Map(
			[
				...groupBy(
					told.filter((row) => row.status === status),
					(row) => row.dryerId
				)
			].map(([id, of]) => [id, of.map(({ id, at, setPointC, probeC }) => ({ id, at, setPointC, probeC }))])
		);
	return { counts: by('counts'), struck: by('excluded') };
}

/** Keeps what an own probe showed; what was dried in that dryer is seen anew. */
export async function postDryerCheck(
	db: Database,
	body: z.output<typeof dryerCheckBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'dryerCheck', body, now }, async (tx) => {
		const [known] = await tx.select({ id: dryer.id }).from(dryer).where(eq(dryer.id, body.dryerId));
		if (!known) throw refuseField('dryerId', 'unknownId', { what: 'dryer' });
		const errors: FieldError[] = [];
		const setPointC = readTemperature(body.setPoint, 'setPoint', errors);
		const probeC = readTemperature(body.probe, 'probe', errors, PROBE);
		if (setPointC === null || probeC === null) throw refuse(errors);
		const { id, dryerId, zone } = body;
		await tx
			.insert(dryerCheck)
			.values({ id, dryerId, setPointC, probeC, probeTyped: body.probe, at: pastInstant(body.at, now, 'at'), zone, createdAt: now });
		await raiseSpoolsDriedIn(tx, dryerId);
		return { id };
	});
}

/** A dryer that stayed cold shows what the room has. */
const PROBE = { low: 0, high: 500 };
