import { CORE_VERSION } from '$lib/core/version';
import { show } from '$lib/server/http/respond';
import { pathId } from '$lib/server/http/path-id';
import { pickOf } from '$lib/server/answers/trials/findings';
import { loadTrial } from '$lib/server/answers/trials/load';

export const GET = show(async (event, db) => ({ coreVersion: CORE_VERSION, ...pickOf(await loadTrial(db, pathId(event))) }));
