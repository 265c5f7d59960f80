import { dryerBody } from '$lib/schemas/drying';
import { keep, LIMITS } from '$lib/server/http/respond';
import { dryerFaultsBeside, postDryer } from '$lib/server/stations/drying/post';

export const POST = keep(dryerBody, postDryer, LIMITS.capture, dryerFaultsBeside);
