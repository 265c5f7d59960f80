import { spoolBody } from '$lib/schemas/spool';
import { keep, show } from '$lib/server/http/respond';
import { postSpool } from '$lib/server/spools/post';
import { searchSpools } from '$lib/server/spools/search';

export const POST = keep(spoolBody, postSpool);

/** Recall: `?q=` searches every spool ever seen. */
export const GET = show(async (event, db) => ({ spools: await searchSpools(db, event.url.searchParams.get('q') ?? '') }));
