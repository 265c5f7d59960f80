import { quoteBody } from '$lib/schemas/spool';
import { keep } from '$lib/server/http/respond';
import { postQuote } from '$lib/server/stations/cost/post';

export const POST = keep(quoteBody, postQuote);
