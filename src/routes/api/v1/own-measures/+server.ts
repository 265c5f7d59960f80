import { ownMeasureBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postOwnMeasure } from '$lib/server/answers/trials/post';

export const POST = keep(ownMeasureBody, postOwnMeasure);
