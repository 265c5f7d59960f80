import { and, desc, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Transaction } from '../../base/db/client';
import { amendment, claim, quote } from '../../base/db/schema';
import { loadAmendments } from '../../record/evidence/load-events';
import { applyAmendments } from '$lib/core/record/amendments/apply';
import { raiseFilament } from '../../record/revisions/revisions';

type Mass = { netMassG: number; typed: string; reason: string; now: number };

/** What the label says a full spool holds, g, as it stands. */
export async function statedMass(tx: Transaction, filamentId: string): Promise<number | null> {
	const [newest] = await tx
		.select({ value: claim.value })
		.from(claim)
		.where(and(eq(claim.filamentId, filamentId), eq(claim.quantity, 'netMassG')))
		.orderBy(desc(claim.seq))
		.limit(1);
	return newest?.value ?? null;
}

/** Says anew what is on a reel: the label's figure, and every price that was reckoned with the one before. False where it says so already. */
export async function keepQuoteMass(tx: Transaction, filamentId: string, { netMassG, typed, reason, now }: Mass): Promise<boolean> {
	const before = await statedMass(tx, filamentId);
	if (before === netMassG) return false;
	await tx.insert(claim).values({
		id: v7(),
		filamentId,
		quantity: 'netMassG',
		source: 'label',
		value: netMassG,
		typedText: typed,
		typedUnit: 'g',
		createdAt: now
	});
	const amendments = (await loadAmendments(tx, [filamentId])).get(filamentId) ?? [];
	const quotes = await tx.select().from(quote).where(eq(quote.filamentId, filamentId));
	const reckoned = quotes.map((q) => applyAmendments(q, amendments)).filter((q) => q.netMassG === before);
	if (reckoned.length > 0)
		await tx.insert(amendment).values(
			reckoned.map((q) => ({
				id: v7(),
				spoolId: filamentId,
				targetKind: 'quote' as const,
				targetId: q.id,
				action: 'correct' as const,
				replacement: { netMassG },
				reason,
				at: now,
				createdAt: now
			}))
		);
	await raiseFilament(tx, filamentId);
	return true;
}
