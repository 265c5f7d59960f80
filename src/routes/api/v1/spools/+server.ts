import { spoolBody } from '$lib/schemas/spool';
import { keep, show } from '$lib/server/http/respond';
import { postSpool } from '$lib/server/stations/intake/post';
import { LIMIT, searchSpools } from '$lib/server/answers/spools/search';

export const POST = keep(spoolBody, postSpool);

/** Recall: `?q=` searches every spool ever seen, a hundred a `page`. */
export const GET = show(async (event, db) => {
	const page = Math.max(1, Math.floor(Number(event.url.searchParams.get('page') ?? 1)) || 1);
	return { spools: await searchSpools(db, event.url.searchParams.get('q') ?? '', { offset: (page - 1) * LIMIT }) };
});
