import { redirect } from '@sveltejs/kit';
import { database } from '$lib/server/running/context';
import { listTrials, loadTrial, ofReadable } from '$lib/server/answers/trials/load';
import type { PageServerLoad } from './$types';

/** The home is the sheet of the newest trial; without one, the place to put the first question. */
export const load: PageServerLoad = async () => {
	const [newest] = await listTrials(database());
	if (!newest) redirect(307, '/trials/new');
	// One that cannot be read says so in the list, beside those that can.
	const readable = await ofReadable(() => loadTrial(database(), newest.id));
	redirect(307, readable ? `/trials/${newest.id}` : '/trials');
};
