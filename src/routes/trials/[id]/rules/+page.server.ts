import { database } from '$lib/server/context';
import { searchSpools } from '$lib/server/spools/search';
import { trialOfRequest } from '$lib/server/trials/of-request';
import { listWorkshop } from '$lib/server/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const [whole, workshop, all] = await Promise.all([trialOfRequest(event), listWorkshop(database()), searchSpools(database(), '')]);
	return {
		printers: workshop.printers,
		pieces: [...workshop.pieces].reverse(),
		others: all.filter((s) => !s.archived && !(s.id in whole.roles))
	};
};
