import type { z } from 'zod';
import { CORE_VERSION } from '$lib/core/version';
import type { verdictBody } from '$lib/schemas/trial';
import type { Database } from '../../base/db/client';
import { verdict } from '../../base/db/schema';
import { refuseField } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { pickOf, sheetOf } from '../trials/findings';
import { loadTrial } from '../trials/load';
import { writeOnce } from '../../base/write/write-once';

/** Freezes a verdict with the findings, the ranking and the version of core it rests on. */
export async function postVerdict(
	db: Database,
	body: z.output<typeof verdictBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'verdict', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		const whole = await loadTrial(tx, body.trialId);
		if (!(body.spoolId in whole.roles)) throw refuseField('spoolId', 'notOfTrial');
		const sheet = sheetOf(whole);
		const snapshot = {
			criteria: whole.criteria,
			protocol: whole.basis,
			findings: sheet.rows.find((r) => r.spoolId === body.spoolId)?.cells ?? [],
			pick: pickOf(whole)
		};
		await tx.insert(verdict).values({
			id: body.id,
			trialId: body.trialId,
			spoolId: body.spoolId,
			kind: body.kind,
			buyFor: body.buyFor,
			note: body.note,
			snapshot,
			coreVersion: CORE_VERSION,
			at,
			zone: body.zone,
			createdAt: now
		});
		return { id: body.id };
	});
}
