import { intakeBody } from '$lib/schemas/spool';
import { keep, LIMITS } from '$lib/server/http/respond';
import { addSpool } from '$lib/server/intake/add-spool';
import { faultsBeside } from '$lib/server/intake/faults-beside';

export const POST = keep(intakeBody, addSpool, LIMITS.capture, faultsBeside);
