import { nth } from '../lib/core/kernel/lists/nth';
import { v7 } from 'uuid';
import { checked, zone, type DemoBench } from './demo-bench';
import { dryerBody, dryingEndBody, dryingRunBody } from '$lib/schemas/drying';
import { readingBody } from '$lib/schemas/reading';
import { postDryer, postDryingEnd, postDryingRun } from '../lib/server/stations/drying/post';
import { postReading } from '../lib/server/stations/readings/post';
import { DEMO_SPOOLS } from './bench';

const WEIGHING_DAY = 19;
const LOADS = {
	petg: { setPoint: '62 C', duration: '5 h' },
	asa: { setPoint: '70 C', duration: '5 h' },
	pla: { setPoint: '45 C', duration: '4 h' }
} as const;

/** Weighed, dried in three loads, weighed again, then left in the air and weighed now and then. */
export async function weighAndDry(bench: DemoBench, ids: string[], scale: string): Promise<string> {
	const { db } = bench;
	const dryer = v7();
	await postDryer(db, checked(dryerBody, { id: dryer, name: 'Tall box', setPointLow: '40 C', setPointHigh: '70 C' }), bench.now);
	const watered = DEMO_SPOOLS.flatMap((spool, i) => (spool.water ? [{ spool, water: spool.water, id: nth(ids, i) }] : []));
	const grossOf = ({ spool, water }: (typeof watered)[number]) =>
		water.tareG + (spool.netMass === '1 kg' ? 1003 : 750) - 14.2 * (spool.done.prints + spool.done.dried);
	const weigh = async (one: (typeof watered)[number], waterG: number) => {
		const typed = `${(grossOf(one) + waterG + bench.normal(0, 0.04)).toFixed(1)} g`;
		const body = { id: v7(), spoolId: one.id, quantity: 'grossMass', typed, instrumentId: scale, takenAt: bench.tick(2).at, zone };
		await postReading(db, checked(readingBody, body), bench.now);
	};
	bench.jumpTo(WEIGHING_DAY);
	for (const one of watered) await weigh(one, 0);
	for (const [load, { setPoint, duration }] of Object.entries(LOADS)) {
		const members = watered.filter((one) => one.water.load === load);
		const runId = v7();
		const spoolIds = members.map((one) => one.id);
		await postDryingRun(
			db,
			checked(dryingRunBody, { id: runId, dryerId: dryer, spoolIds, setPoint, duration, ...bench.tick(10) }),
			bench.now
		);
		await postDryingEnd(db, checked(dryingEndBody, { id: v7(), runId, outcome: 'done', ...bench.tick(305) }), bench.now);
		for (const one of members) await weigh(one, -one.water.lostG);
	}
	for (const day of [22, 29, 38]) {
		bench.jumpTo(day);
		for (const one of watered) {
			const up = one.water.uptakeG.find(([at]) => at === day);
			if (up) await weigh(one, up[1] - one.water.lostG);
		}
	}
	for (const { water, id } of watered.filter((one) => one.water.tareKnown)) {
		const body = {
			id: v7(),
			spoolId: id,
			quantity: 'tareMass',
			typed: `${water.tareG} g`,
			instrumentId: scale,
			takenAt: bench.tick(1).at,
			zone
		};
		await postReading(db, checked(readingBody, body), bench.now);
	}
	return dryer;
}
