import { verdictBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postVerdict } from '$lib/server/answers/verdicts/post';

export const POST = keep(verdictBody, postVerdict);
