import { trialLeaveBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postTrialLeave } from '$lib/server/answers/trials/post';

export const POST = keep(trialLeaveBody, postTrialLeave);
