import { database } from '$lib/server/context';
import { recallSpools } from '$lib/server/spools/recall';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const q = url.searchParams.get('q') ?? '';
	return { q, spools: await recallSpools(database(), q, Date.now()) };
};
