import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { columnFacts } from '../../base/db/fact-columns';
import { v7 } from 'uuid';
import type { z } from 'zod';
import type { filamentBody, spoolBody } from '$lib/schemas/spool';
import type { Database } from '../../base/db/client';
import { claim, event, filament, spool } from '../../base/db/schema';
import { chooseCode, lockCodes } from '../../record/codes/bench-codes';
import { readClaims } from '../../record/claims/claims';
import { joinTrial } from '../../record/memberships/join-trial';
import { ensureLot, ensureMaker, requireFilament } from '../../record/makers/makers';
import { refuse } from '../../base/problem';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

type Answer<T> = Promise<{ answer: T; repeated: boolean }>;

export async function postFilament(db: Database, body: z.output<typeof filamentBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'filament', body, now }, async (tx) => {
		const claims = readClaims(body.id, body, now);
		if (claims.errors.length > 0) throw refuse(claims.errors);
		await tx.insert(filament).values({
			id: body.id,
			makerId: await ensureMaker(tx, body.maker, now),
			name: body.name,
			material: body.material,
			variant: body.variant,
			createdAt: now
		});
		if (claims.rows.length > 0) await tx.insert(claim).values(claims.rows);
		return { id: body.id };
	});
}

export async function postSpool(db: Database, body: z.output<typeof spoolBody>, now: number): Answer<{ id: string; benchCode: string }> {
	return await writeOnce(db, { id: body.id, kind: 'spool', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await lockCodes(tx);
		await requireFilament(tx, body.filamentId);
		const code = await chooseCode(tx, body.benchCode);
		if (!code.ok) throw refuse([code.error]);
		const benchCode = code.code;
		await tx.insert(spool).values({
			id: body.id,
			filamentId: body.filamentId,
			lotId: body.lot ? await ensureLot(tx, body.filamentId, body.lot, now) : null,
			benchCode,
			...columnFacts(SPOOL_FACTS, body),
			createdAt: now
		});
		await tx.insert(event).values({ id: v7(), spoolId: body.id, kind: 'opened', at, zone: body.zone, createdAt: now });
		if (body.trialId) await joinTrial(tx, body.trialId, body.id, body.role, now);
		return { id: body.id, benchCode };
	});
}
