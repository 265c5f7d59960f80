import { restoreBody } from '$lib/schemas/backup';
import { beginRestore } from '$lib/server/backup/restore-here';
import { serverContext } from '$lib/server/running/context';
import { keep } from '$lib/server/http/respond';

export const POST = keep(restoreBody, (_, body, now) => beginRestore(serverContext().config, body, process.env, now));
