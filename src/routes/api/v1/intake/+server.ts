import { intakeBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { takeIn } from '$lib/server/intake/take-in';

export const POST = keep(intakeBody, takeIn);
