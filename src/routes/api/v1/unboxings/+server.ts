import { unboxingBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { postUnboxing } from '$lib/server/stations/intake/unboxing';

export const POST = keep(unboxingBody, postUnboxing);
