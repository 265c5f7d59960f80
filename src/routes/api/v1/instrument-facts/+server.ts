import { instrumentFactsBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postInstrumentFacts } from '$lib/server/stations/workshop/workshop';

export const POST = keep(instrumentFactsBody, postInstrumentFacts);
