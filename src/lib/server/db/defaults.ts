import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from './client';
import { piece, server } from './schema';

/** The piece every new trial starts with: our own step piece, overhang rungs of 5 degrees, bridge spans of 5 mm, a spike pair. */
export const STEP_PIECE = {
	id: '01900000-0000-7000-8000-000000000001',
	name: 'Step piece',
	overhangStepDeg: 5,
	bridgeStepMm: 5,
	gramsG: 14
} as const;

/**
 * What every database holds before the first trial: its own identity and the step piece.
 * @returns the server's id, by which browsers key what they still have to send, and what logins are sealed with
 */
export async function ensureDefaults(db: Database, now: number): Promise<{ serverId: string; sessionKey: Buffer }> {
	return await db.transaction(async (tx) => {
		await tx
			.insert(piece)
			.ignore()
			.values({ ...STEP_PIECE, familyId: STEP_PIECE.id, version: 1, createdAt: now });
		const [known] = await tx.select().from(server).limit(1);
		const id = known?.id ?? v7();
		const sessionKey = known?.sessionKey ?? randomBytes(32);
		if (!known) await tx.insert(server).values({ id, createdAt: now, sessionKey });
		else if (!known.sessionKey) await tx.update(server).set({ sessionKey }).where(eq(server.id, id));
		return { serverId: id, sessionKey };
	});
}
