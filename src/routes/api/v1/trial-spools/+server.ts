import { trialSpoolBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postTrialSpool } from '$lib/server/answers/trials/post';

export const POST = keep(trialSpoolBody, postTrialSpool);
