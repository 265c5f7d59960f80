import { onlyStation } from '$lib/server/evidence/only';
import { trialOfRequest } from '$lib/server/trials/of-request';

export const load = async (event) => {
	const whole = await trialOfRequest(event);
	return { evidence: whole.spools.map((e) => onlyStation(e, 'own')) };
};
