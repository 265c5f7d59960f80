import { protocolBody } from '$lib/schemas/trial';
import { keep } from '$lib/server/http/respond';
import { postProtocol } from '$lib/server/answers/trials/post';

export const POST = keep(protocolBody, postProtocol);
