import { trialBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postTrial } from '$lib/server/answers/trials/post';

export const POST = keep(trialBody, postTrial);
