import { archivingBody } from '$lib/schemas/archiving';
import { postArchiving } from '$lib/server/facts/archive';
import { keep } from '$lib/server/http/respond';

export const POST = keep(archivingBody, postArchiving);
