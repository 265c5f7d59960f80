import { spoolFactsBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { postSpoolFacts } from '$lib/server/spools/post';

export const POST = keep(spoolFactsBody, postSpoolFacts);
