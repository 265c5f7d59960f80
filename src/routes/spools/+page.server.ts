import { database } from '$lib/server/context';
import { searchSpools } from '$lib/server/spools/search';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const q = url.searchParams.get('q') ?? '';
	return { q, spools: await searchSpools(database(), q) };
};
