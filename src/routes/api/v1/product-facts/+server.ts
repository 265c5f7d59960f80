import { productFactsBody } from '$lib/schemas/spool';
import { postProductFacts } from '$lib/server/stations/intake/product';
import { keep } from '$lib/server/http/respond';

export const POST = keep(productFactsBody, postProductFacts);
