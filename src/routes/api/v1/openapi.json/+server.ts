import { serverContext } from '$lib/server/running/context';
import { show } from '$lib/server/http/respond';
import { openApiDocument } from '$lib/server/http/openapi/document';

export const GET = show(() => Promise.resolve(openApiDocument(serverContext().config.ORIGIN)));
