import { readingBody } from '$lib/schemas/reading';
import { keep } from '$lib/server/http/respond';
import { postReading } from '$lib/server/stations/readings/post';

export const POST = keep(readingBody, postReading);
