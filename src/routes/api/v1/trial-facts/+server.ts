import { trialFactsBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postTrialFacts } from '$lib/server/answers/trials/post';

export const POST = keep(trialFactsBody, postTrialFacts);
