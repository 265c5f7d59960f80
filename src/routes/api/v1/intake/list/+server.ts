import { intakeListBody } from '$lib/schemas/spool';
import { keep, LIMITS } from '$lib/server/http/respond';
import { takeInList } from '$lib/server/intake/take-in';

export const POST = keep(intakeListBody, takeInList, LIMITS.list);
