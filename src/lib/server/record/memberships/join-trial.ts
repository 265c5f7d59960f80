import { eq, max } from 'drizzle-orm';
import type { TRIAL_ROLES } from '$lib/core/record/lists/closed-lists';
import type { Transaction } from '../../base/db/client';
import { trialSpool } from '../../base/db/schema';
import { raiseTrial } from '../revisions/revisions';

/** Lays a trial over a spool; the order of joining is the order on the sheet. */
export async function joinTrial(
	tx: Transaction,
	trialId: string,
	spoolId: string,
	role: (typeof TRIAL_ROLES)[number],
	now: number
): Promise<void> {
	const [last] = await tx
		.select({ position: max(trialSpool.position) })
		.from(trialSpool)
		.where(eq(trialSpool.trialId, trialId));
	await tx
		.insert(trialSpool)
		.values({ trialId, spoolId, role, position: (last?.position ?? 0) + 1, createdAt: now })
		.onDuplicateKeyUpdate({ set: { role, leftAt: null } });
	await raiseTrial(tx, trialId);
}
