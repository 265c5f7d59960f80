import { attemptBody } from '$lib/schemas/attempt';
import { keep } from '$lib/server/http/respond';
import { postAttempt } from '$lib/server/prints/post-attempt';

export const POST = keep(attemptBody, postAttempt);
