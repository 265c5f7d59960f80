import { v7 } from 'uuid';
import { attemptBody } from '$lib/schemas/attempt';
import { intakeBody } from '$lib/schemas/spool';
import { trialBody } from '$lib/schemas/trial';
import { addSpool } from '../lib/server/stations/intake/add-spool';
import { postAttempt } from '../lib/server/stations/prints/post-attempt';
import { postTrial } from '../lib/server/answers/trials/post';
import { DEMO_SOFT_FEET, DEMO_SOFT_TRIAL } from './bench';
import { checked, DAY, START, type DemoBench } from './demo-bench';

/** The third trial: two flexibles for the feet of the pier. What they say first is whether they print at all, and how fast. */
export async function feedSoftFeet(bench: DemoBench, printers: Record<'North' | 'South', string>): Promise<void> {
	const { db } = bench;
	bench.jumpTo(30);
	const trialId = v7();
	await postTrial(db, checked(trialBody, { id: trialId, ...DEMO_SOFT_TRIAL, preset: 'flexibleParts' }), START - 2 * DAY);
	for (const { feeds, loads, ...facts } of DEMO_SOFT_FEET) {
		const { answer } = await addSpool(
			db,
			checked(intakeBody, { id: v7(), trialId, nothingOdd: true, ...facts, ...bench.tick(6) }),
			bench.now
		);
		for (const [speedPct, outcome] of feeds) {
			const ended =
				outcome === 'finished' ? { outcome } : { outcome, cause: 'filament', percentReached: 20, note: 'strand buckled in the feeder' };
			const body = {
				id: v7(),
				spoolId: answer.spoolId,
				trialId,
				printerId: printers.South,
				settingsPolicy: 'label',
				settings: { nozzleC: 225, bedC: 45, fanPct: 50, speedPct },
				marks: {
					loadEffort: loads,
					...(outcome === 'finished' ? { strings: 'slight', overhangLastClean: '45', overhangFirstFaulty: '50' } : {})
				},
				...ended
			};
			await postAttempt(db, checked(attemptBody, { ...body, ...bench.tick(70) }), bench.now);
		}
	}
}
