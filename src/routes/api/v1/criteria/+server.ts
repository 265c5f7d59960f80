import { criteriaBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postCriteria } from '$lib/server/answers/trials/post';

export const POST = keep(criteriaBody, postCriteria);
