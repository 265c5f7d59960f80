import { intakeListBody } from '$lib/schemas/spool';
import { keep, LIMITS } from '$lib/server/http/respond';
import { addSpools } from '$lib/server/intake/add-spool';
import { faultsBesideInRows } from '$lib/server/intake/faults-beside';

export const POST = keep(intakeListBody, addSpools, LIMITS.list, faultsBesideInRows);
