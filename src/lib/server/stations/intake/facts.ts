import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { typedFacts } from '$lib/core/record/facts/typed-facts';
import { readFacts } from '../../record/facts/read-facts';
import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { FieldError } from '$lib/schemas/field-error';
import type { spoolFactsBody } from '$lib/schemas/spool';
import type { Database } from '../../base/db/client';
import { claim, spool } from '../../base/db/schema';
import { loadEvidence } from '../../record/evidence/load';
import { amendFacts } from '../../record/facts/facts';
import { refuse, refuseField } from '../../base/problem';
import { keepReadings, readFields } from '../../record/readings/keep-readings';
import { pastInstant } from '../../base/time';
import { raiseFilament, raiseRevision } from '../../record/revisions/revisions';
import { requireSeen } from '../../base/write/seen';
import { writeOnce } from '../../base/write/write-once';
import { readClaims } from '../../record/claims/claims';
import { checkMasses, massFields } from '../../record/masses/masses';

/** Completes what was left for later. Facts of the spool change by amendment, stated figures by a newer claim, masses by readings. */
export async function postSpoolFacts(
	db: Database,
	body: z.output<typeof spoolFactsBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'spoolFacts', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		const [row] = await tx.select({ filamentId: spool.filamentId }).from(spool).where(eq(spool.id, body.spoolId));
		if (!row) throw refuseField('spoolId', 'unknownId', { what: 'spool' });
		const errors: FieldError[] = [];
		const claims = readClaims(row.filamentId, body, now);
		errors.push(...claims.errors);
		const masses = readFields(massFields(body), errors);
		const said = readFacts(SPOOL_FACTS, body, errors);
		if (errors.length > 0) throw refuse(errors);
		for (const mass of masses) {
			await checkMasses(tx, body.spoolId, mass.quantity, mass.value);
			await keepReadings(tx, { spoolId: body.spoolId, takenAt: at, zone: body.zone, now }, [mass]);
		}
		if (claims.rows.length > 0) {
			await tx.insert(claim).values(claims.rows);
			await raiseFilament(tx, row.filamentId);
		}
		const [stands] = (await loadEvidence(tx, [body.spoolId])).map((e) => e.spool);
		if (stands) requireSeen(body.seen, typedFacts(SPOOL_FACTS, stands), body);
		// What was left empty is not said.
		const facts = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null));
		await amendFacts(tx, 'spool', { id: body.spoolId, facts, reason: 'completed later', now });
		return { id: body.id };
	});
}
