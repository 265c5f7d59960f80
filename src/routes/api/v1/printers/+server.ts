import { printerBody } from '$lib/schemas/attempt';
import { keep } from '$lib/server/http/respond';
import { postPrinter } from '$lib/server/stations/workshop/workshop';

export const POST = keep(printerBody, postPrinter);
