import { database } from '$lib/server/context';
import { searchSpools } from '$lib/server/spools/search';

export const load = async ({ url }) => {
	const q = url.searchParams.get('q') ?? '';
	return { q, spools: await searchSpools(database(), q) };
};
