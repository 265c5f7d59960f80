import { v7 } from 'uuid';
import { randomSource } from '../../src/lib/core/kernel/random/source';
import { attemptBody } from '../../src/lib/schemas/attempt';
import { intakeBody } from '../../src/lib/schemas/spool';
import { trialBody } from '../../src/lib/schemas/trial';
import type { Database } from '../../src/lib/server/base/db/client';
import { reading } from '../../src/lib/server/base/db/schema';
import { addSpool } from '../../src/lib/server/stations/intake/add-spool';
import { postAttempt } from '../../src/lib/server/stations/prints/post-attempt';
import { postTrial } from '../../src/lib/server/answers/trials/post';

export const SPOOLS = 40;
export const READINGS = 10_000;

/** A trial as large as the figures for speed speak of: forty spools, ten thousand hand readings, three prints each. */
export async function fill(db: Database): Promise<string> {
	const now = Date.now();
	const at = new Date(now).toISOString();
	const trialId = v7();
	await postTrial(db, trialBody.parse({ id: trialId, name: 'bench' }), now);
	const source = randomSource(1);
	const rows: (typeof reading.$inferInsert)[] = [];
	for (let s = 0; s < SPOOLS; s++) {
		const { answer } = await addSpool(
			db,
			intakeBody.parse({ id: v7(), trialId, material: 'PETG', price: '20', netMass: '1 kg', labelTolerance: '0.02', nothingOdd: true, at }),
			now
		);
		for (let p = 0; p < 3; p++)
			await postAttempt(
				db,
				attemptBody.parse({
					id: v7(),
					spoolId: answer.spoolId,
					outcome: 'finished',
					marks: { overhangLastClean: '65', overhangFirstFaulty: '70', bridgeLongestClean: '30', strings: 'wisp' },
					at
				}),
				now
			);
		for (let r = 0; r < READINGS / SPOOLS; r++) {
			const typedText = (1.75 + (source() - 0.5) / 50).toFixed(2);
			rows.push({
				id: v7(),
				spoolId: answer.spoolId,
				station: 'diameter',
				quantity: 'diameter',
				value: Number(typedText),
				typedText,
				typedUnit: 'mm',
				resolution: 0.01,
				takenAt: now,
				zone: 'UTC',
				placeIndex: r >> 1,
				direction: r % 2 ? 'across' : 'along',
				createdAt: now
			});
		}
	}
	for (let i = 0; i < rows.length; i += 500) await db.insert(reading).values(rows.slice(i, i + 500));
	return trialId;
}
