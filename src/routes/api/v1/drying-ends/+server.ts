import { dryingEndBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryingEnd } from '$lib/server/stations/drying/post';

export const POST = keep(dryingEndBody, postDryingEnd);
