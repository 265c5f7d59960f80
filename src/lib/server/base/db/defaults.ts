import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { compound } from '$lib/core/judging/pieces/shapes/compound';
import type { Database } from './client';
import { piece, server } from './schema';

/** Rungs of five degrees and spans of 5 mm, as testers note them, from where filaments begin to differ; it lies on a small bed. */
const SIZES = {
	overhangFrom: 40,
	overhangTo: 80,
	overhangStep: 5,
	bridgeFrom: 10,
	bridgeTo: 50,
	bridgeStep: 5,
	gap: 30,
	spikeHigh: 20
} as const;

/**
 * The piece every new trial starts with: our own compound piece, with its file. A record that began before it had one keeps what it has:
 * nobody knows what was printed under its name.
 */
export const STEP_PIECE = {
	id: '01900000-0000-7000-8000-000000000001',
	name: 'Step piece',
	kind: compound.id,
	params: SIZES,
	// Its thin plate also shows what any flat print shows.
	marks: [...compound.marks(SIZES), ...(['cornerLift', 'adhesion', 'supports', 'odour'] as const).map((mark) => ({ mark, steps: null }))],
	/** As the geometry engine finds it (test): it is not started for this alone. */
	volumeMm3: 34_259
};

/** Which server this record is of. Asked anew each time: a restore puts another record in its place. */
export async function serverIdOf(db: Database): Promise<string> {
	const [row] = await db.select({ id: server.id }).from(server).limit(1);
	return row?.id ?? '';
}

/**
 * What every database holds before the first trial: its own identity and the step piece.
 */
export async function ensureDefaults(db: Database, now: number): Promise<void> {
	await db.transaction(async (tx) => {
		await tx
			.insert(piece)
			.ignore()
			.values({ ...STEP_PIECE, familyId: STEP_PIECE.id, version: 1, createdAt: now });
		const [known] = await tx.select().from(server).limit(1);
		const id = known?.id ?? v7();
		const sessionKey = known?.sessionKey ?? randomBytes(32);
		if (!known) await tx.insert(server).values({ id, createdAt: now, sessionKey });
		else if (!known.sessionKey) await tx.update(server).set({ sessionKey }).where(eq(server.id, id));
	});
}
