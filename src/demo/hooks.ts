import { v7 } from 'uuid';
import { checked, zone, type DemoBench } from './demo-bench';
import { FAILURE_WORDS } from '$lib/core/stations/strength/words';
import { readingBody } from '$lib/schemas/reading';
import { specimenBody } from '$lib/schemas/strength';
import { postReading } from '../lib/server/stations/readings/post';
import { postSpecimen } from '../lib/server/stations/strength/post-specimen';
import type { DemoSpool } from './bench';

const FIRST_LB = 10;
const STEP_LB = 2.5;
const MOST_LB = 32.5;
const LB_N = 4.4482216;
const BUCKET = '0.42 kg';

/** Hooks over a beam with a bucket, two and a half pounds at a time until they drop or the weights run out. */
export async function loadHooks(bench: DemoBench, spool: DemoSpool, spoolId: string): Promise<void> {
	const { db } = bench;
	const [mean, sd] = spool.truth.hookN ?? [0, 0];
	for (let i = 0; i < (spool.done.hooks ?? 0); i++) {
		const specimenId = v7();
		const specimen = { id: specimenId, spoolId, shape: 'dew-shield hook', orientation: 'upright', method: 'steps', ...bench.tick(2) };
		await postSpecimen(db, checked(specimenBody, specimen), bench.now);
		const say = async (quantity: string, typed: string) =>
			await postReading(
				db,
				checked(readingBody, { id: v7(), spoolId, specimenId, quantity, typed, takenAt: bench.tick(0.5).at, zone }),
				bench.now
			);
		await say('bucketMass', BUCKET);
		const breaksAtLb = (bench.normal(mean, sd) - 0.42 * 9.80665) / LB_N;
		let lb = FIRST_LB;
		while (lb < breaksAtLb && lb <= MOST_LB) {
			await say('loadHeld', `${lb} lb`);
			lb += STEP_LB;
		}
		if (lb > MOST_LB) continue;
		await say('loadBroke', `${lb} lb`);
		const stiff = spool.material === 'PLA';
		await say('failure', FAILURE_WORDS[stiff ? 3 : bench.source() < 0.7 ? 2 : 1] ?? 'layers');
	}
}
