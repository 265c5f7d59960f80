import { database } from '$lib/server/running/context';
import { onlyStation } from '$lib/server/answers/findings/only';
import { loadPhotos } from '$lib/server/stations/photos/photos';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { spools } = await trialOfRequest(event);
	const photos = await loadPhotos(
		database(),
		spools.map((s) => s.spool.id)
	);
	return { evidence: spools.map((e) => onlyStation(e, 'prints')), photos };
};
