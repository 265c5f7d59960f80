import { conditionAt, conditionOf } from '$lib/core/record/conditions/condition-at';
import { settled } from '$lib/core/record/evidence/settled';
import { database } from '$lib/server/running/context';
import { onlyStation } from '$lib/server/answers/findings/only';
import { runsOf } from '$lib/server/stations/drying/runs';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
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
	// Dried, they cannot be printed as received any more.
	const unprinted =
		whole.basis.conditionPolicy === 'driedFirst'
			? []
			: whole.spools.filter(
					(e) =>
						!e.attempts.some((a) => settled(a) && conditionOf(e, a).kind === 'asReceived') &&
						conditionAt(e, Date.now()).kind === 'asReceived'
				);
	return {
		unprinted: unprinted.map(({ spool }) => ({ id: spool.id, code: spool.code })),
		evidence: whole.spools.map((e) => onlyStation(e, 'drying')),
		dryers: workshop.dryers,
		runs
	};
};
