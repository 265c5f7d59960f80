import { printerFactsBody } from '$lib/schemas/attempt';
import { keep } from '$lib/server/http/respond';
import { postPrinterFacts } from '$lib/server/stations/workshop/workshop';

export const POST = keep(printerFactsBody, postPrinterFacts);
