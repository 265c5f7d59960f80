import { partStateBody } from '$lib/schemas/use-log';
import { keep } from '$lib/server/http/respond';
import { postPartState } from '$lib/server/stations/use-log/use-log';

export const POST = keep(partStateBody, postPartState);
