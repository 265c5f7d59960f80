import { amendmentBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postAmendment } from '$lib/server/answers/amendments/post';

export const POST = keep(amendmentBody, postAmendment);
