import { v7 } from 'uuid';
import { partBody, partStateBody } from '$lib/schemas/use-log';
import { postPart, postPartState } from '../lib/server/stations/use-log/use-log';
import { checked, type DemoBench } from './demo-bench';

/** Two parts in use: one has held a winter, one has crept. */
export async function useParts(bench: DemoBench, house: string, pla: string): Promise<void> {
	const { db } = bench;
	const [clip, knob] = [v7(), v7()];
	bench.jumpTo(25);
	await postPart(
		db,
		checked(partBody, { id: clip, spoolId: house, name: 'Dew-shield clip', place: 'east dome', ...bench.tick(5) }),
		bench.now
	);
	await postPart(db, checked(partBody, { id: knob, spoolId: pla, name: 'Window stay', place: 'sunny sill', ...bench.tick(5) }), bench.now);
	bench.jumpTo(39);
	await postPartState(db, checked(partStateBody, { id: v7(), partId: clip, state: 'holds', ...bench.tick(5) }), bench.now);
	const crept = { id: v7(), partId: knob, state: 'crept', note: 'Sagged after one warm afternoon.', ...bench.tick(5) };
	await postPartState(db, checked(partStateBody, crept), bench.now);
}
