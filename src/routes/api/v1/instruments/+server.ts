import { instrumentBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postInstrument } from '$lib/server/stations/workshop/workshop';

export const POST = keep(instrumentBody, postInstrument);
