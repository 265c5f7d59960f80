import { redirect } from '@sveltejs/kit';
import { database } from '$lib/server/context';
import { listTrials } from '$lib/server/trials/load';
import type { PageServerLoad } from './$types';

/** The home is the sheet of the newest trial; without one, the place to put the first question. */
export const load: PageServerLoad = async () => {
	const [newest] = await listTrials(database());
	redirect(307, newest ? `/trials/${newest.id}` : '/trials/new');
};
