import { filamentBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { postFilament } from '$lib/server/stations/intake/post';

export const POST = keep(filamentBody, postFilament);
