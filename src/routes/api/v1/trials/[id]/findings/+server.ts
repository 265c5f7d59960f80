import { CORE_VERSION } from '$lib/core/version';
import { show } from '$lib/server/http/respond';
import { pathId } from '$lib/server/http/path-id';
import { sheetOf } from '$lib/server/answers/trials/findings';
import { loadTrial } from '$lib/server/answers/trials/load';

export const GET = show(async (event, db) => {
	const whole = await loadTrial(db, pathId(event));
	return { coreVersion: CORE_VERSION, trial: whole.head, spools: whole.spools.map((s) => s.spool), ...sheetOf(whole) };
});
