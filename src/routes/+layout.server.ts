import { database, serverContext } from '$lib/server/context';
import { serverIdOf } from '$lib/server/db/defaults';
import { runningRuns } from '$lib/server/drying/runs';
import type { LayoutServerLoad } from './$types';

/** What the shell of every page needs: which server this is, and which dryers run. */
export const load: LayoutServerLoad = async (event) => {
	const { config, passphrase } = serverContext();
	// Before the login nothing is told, not even which server this is.
	if (!event.locals.entered) return { drying: { now: Date.now(), runs: [] }, serverId: '', instance: '', locked: true, loggedIn: false };
	const [runs, serverId] = await Promise.all([runningRuns(database()), serverIdOf(database())]);
	return { drying: { now: Date.now(), runs }, serverId, instance: config.DRAUGHT_INSTANCE, locked: false, loggedIn: passphrase !== null };
};
