import { database } from '$lib/server/context';
import { onlyStation } from '$lib/server/evidence/only';
import { runsOf } from '$lib/server/drying/runs';
import { trialOfRequest } from '$lib/server/trials/of-request';
import { listWorkshop } from '$lib/server/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const [workshop, runs] = await Promise.all([
		listWorkshop(database()),
		runsOf(
			database(),
			whole.spools.map((s) => s.spool.id)
		)
	]);
	return { evidence: whole.spools.map((e) => onlyStation(e, 'drying')), dryers: workshop.dryers, runs };
};
