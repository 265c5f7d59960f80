import { logBody } from '$lib/schemas/gauge-log';
import { announceLog } from '$lib/server/stations/diameter/arrive';
import { keep } from '$lib/server/http/respond';

export const POST = keep(logBody, announceLog);
