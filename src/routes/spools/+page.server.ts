import { database } from '$lib/server/running/context';
import { recallSpools } from '$lib/server/answers/spools/recall';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
	const q = url.searchParams.get('q') ?? '';
	const page = Math.max(1, Math.min(10_000, Math.floor(Number(url.searchParams.get('page') ?? 1)) || 1));
	return { q, ...(await recallSpools(database(), q, page)) };
};
