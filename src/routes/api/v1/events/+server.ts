import { eventBody } from '$lib/schemas/event';
import { keep } from '$lib/server/http/respond';
import { postEvent } from '$lib/server/stations/events/post-event';

export const POST = keep(eventBody, postEvent);
