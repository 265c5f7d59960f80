import { ownMeasureFactsBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postOwnMeasureFacts } from '$lib/server/answers/trials/post';

export const POST = keep(ownMeasureFactsBody, postOwnMeasureFacts);
