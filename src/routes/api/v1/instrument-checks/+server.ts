import { instrumentCheckBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postInstrumentCheck } from '$lib/server/record/instruments/checks';

export const POST = keep(instrumentCheckBody, postInstrumentCheck);
