import { partBody } from '$lib/schemas/use-log';
import { keep } from '$lib/server/http/respond';
import { postPart } from '$lib/server/stations/use-log/use-log';

export const POST = keep(partBody, postPart);
