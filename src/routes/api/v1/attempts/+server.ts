import { attemptBody } from '$lib/schemas/attempt';
import { keep, LIMITS } from '$lib/server/http/respond';
import { postAttempt } from '$lib/server/stations/prints/post-attempt';
import { faultsBeside } from '$lib/server/stations/prints/texts';

export const POST = keep(attemptBody, postAttempt, LIMITS.capture, faultsBeside);
