import { dryerBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryer } from '$lib/server/drying/post';

export const POST = keep(dryerBody, postDryer);
