import { database, serverContext } from '$lib/server/context';
import { runningRuns } from '$lib/server/drying/runs';
import type { LayoutServerLoad } from './$types';

/** What the shell of every page needs: which server this is, and which dryers run. */
export const load: LayoutServerLoad = async () => {
	const { serverId, config } = serverContext();
	const runs = await runningRuns(database());
	return { drying: { now: Date.now(), runs }, serverId, instance: config.DRAUGHT_INSTANCE };
};
