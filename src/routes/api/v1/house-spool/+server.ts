import { houseSpoolBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postHouseSpool } from '$lib/server/answers/trials/post';

export const POST = keep(houseSpoolBody, postHouseSpool);
