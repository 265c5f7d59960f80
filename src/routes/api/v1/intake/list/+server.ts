import { intakeListBody } from '$lib/schemas/spool';
import { keep, LIMITS } from '$lib/server/http/respond';
import { addSpools } from '$lib/server/stations/intake/add-spool';
import { faultsBesideInRows } from '$lib/server/stations/intake/faults-beside';

export const POST = keep(intakeListBody, addSpools, LIMITS.list, faultsBesideInRows);
