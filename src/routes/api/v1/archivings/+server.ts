import { archivingBody } from '$lib/schemas/archiving';
import { postArchiving } from '$lib/server/record/facts/archive';
import { keep } from '$lib/server/http/respond';

export const POST = keep(archivingBody, postArchiving);
