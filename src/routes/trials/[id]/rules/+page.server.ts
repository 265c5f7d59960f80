import { database } from '$lib/server/running/context';
import { pageId } from '$lib/server/http/path-id';
import { searchSpools } from '$lib/server/answers/spools/search';
import { saidLater } from '$lib/server/answers/trials/said-later';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	// Asked before anything is begun that nobody would wait for.
	const id = pageId(event);
	const [whole, workshop, all, later] = await Promise.all([
		trialOfRequest(event),
		listWorkshop(database()),
		searchSpools(database(), ''),
		saidLater(database(), id)
	]);
	return {
		printers: workshop.printers,
		pieces: [...workshop.pieces].reverse(),
		later,
		others: all.filter((s) => !s.archived && !(s.id in whole.roles))
	};
};
