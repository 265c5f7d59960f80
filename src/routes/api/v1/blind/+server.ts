import { blindBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postBlind } from '$lib/server/answers/trials/post';

export const POST = keep(blindBody, postBlind);
