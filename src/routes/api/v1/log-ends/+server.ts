import { logEndBody } from '$lib/schemas/gauge-log';
import { endLog } from '$lib/server/stations/diameter/arrive';
import { keep } from '$lib/server/http/respond';

export const POST = keep(logEndBody, endLog);
