import { database } from '$lib/server/running/context';
import { onlyStation } from '$lib/server/answers/findings/only';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const [whole, workshop] = await Promise.all([trialOfRequest(event), listWorkshop(database())]);
	return { evidence: whole.spools.map((e) => onlyStation(e, 'moisture')), scales: workshop.scales };
};
