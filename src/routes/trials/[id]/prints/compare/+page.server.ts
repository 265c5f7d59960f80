import { onlyStation } from '$lib/server/answers/findings/only';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	return { evidence: whole.spools.map((e) => onlyStation(e, 'prints')) };
};
