import { printQueue } from '$lib/core/stations/prints/ways/queue';
import { database } from '$lib/server/running/context';
import { loadPieces } from '$lib/server/record/pieces/load';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const [{ spools, basis }, pieces] = await Promise.all([trialOfRequest(event), loadPieces(database())]);
	const queue = printQueue(spools, basis, ({ id }) => {
		const piece = pieces.find((p) => p.id === id);
		return { grams: piece?.gramsG ?? null, volumeMm3: piece?.volumeMm3 ?? null };
	});
	return { queue, pieces: pieces.map(({ id, name, version, params }) => ({ id, name: `${name} ${version}`, hasFile: params !== null })) };
};
