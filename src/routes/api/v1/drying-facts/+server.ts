import { dryingFactsBody } from '$lib/schemas/drying';
import { keep, LIMITS } from '$lib/server/http/respond';
import { factsFaultsBeside, postDryingFacts } from '$lib/server/stations/drying/correct-run';

export const POST = keep(dryingFactsBody, postDryingFacts, LIMITS.capture, factsFaultsBeside);
