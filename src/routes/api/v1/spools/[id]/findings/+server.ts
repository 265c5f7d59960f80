import { CORE_VERSION } from '$lib/core/version';
import { show } from '$lib/server/http/respond';
import { pathId } from '$lib/server/http/path-id';
import { loadSpool } from '$lib/server/answers/spools/load';

export const GET = show(async (event, db, now) => {
	const { evidence, findings } = await loadSpool(db, pathId(event), now);
	return { coreVersion: CORE_VERSION, spool: evidence.spool, findings };
});
