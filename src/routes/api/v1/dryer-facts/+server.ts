import { dryerFactsBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryerFacts } from '$lib/server/drying/post';

export const POST = keep(dryerFactsBody, postDryerFacts);
