import { spoolFactsBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { postSpoolFacts } from '$lib/server/stations/intake/facts';

export const POST = keep(spoolFactsBody, postSpoolFacts);
