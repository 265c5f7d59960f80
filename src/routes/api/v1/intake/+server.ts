import { intakeBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { addSpool } from '$lib/server/intake/add-spool';

export const POST = keep(intakeBody, addSpool);
