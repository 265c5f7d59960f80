import { intakeBody } from '$lib/schemas/spool';
import { keep, LIMITS } from '$lib/server/http/respond';
import { addSpool } from '$lib/server/stations/intake/add-spool';
import { faultsBeside } from '$lib/server/stations/intake/faults-beside';

export const POST = keep(intakeBody, addSpool, LIMITS.capture, faultsBeside);
