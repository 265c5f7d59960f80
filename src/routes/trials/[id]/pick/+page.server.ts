import { pickInputOf, sheetOf } from '$lib/server/trials/findings';
import { trialOfRequest } from '$lib/server/trials/of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const now = Date.now();
	const { candidates, defs, rule } = pickInputOf(whole, now);
	return { candidates, defs, rule, flags: sheetOf(whole, now).flags };
};
