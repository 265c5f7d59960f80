import { dryingFactsBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryingFacts } from '$lib/server/drying/correct-run';

export const POST = keep(dryingFactsBody, postDryingFacts);
