import { dryerFactsBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryerFacts } from '$lib/server/stations/drying/post';

export const POST = keep(dryerFactsBody, postDryerFacts);
