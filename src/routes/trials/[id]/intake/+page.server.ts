import { database } from '$lib/server/running/context';
import { intakeSuggestions } from '$lib/server/stations/intake/suggestions';
import { wantedOf } from '$lib/server/answers/trials/findings';
import { lacksOf } from '$lib/server/answers/trials/lacks';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const suggestions = await intakeSuggestions(
		database(),
		whole.spools.map((s) => s.spool.id)
	);
	const wanted = wantedOf(whole, 'intake');
	// Spools that nobody has looked at yet.
	return { ...suggestions, lacks: lacksOf(whole), unseen: whole.spools.flatMap((e, i) => (wanted[i] ? [e.spool.id] : [])) };
};
