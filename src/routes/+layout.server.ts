import { database, serverContext, serverId } from '$lib/server/running/context';
import { runningRuns } from '$lib/server/stations/drying/runs';
import type { LayoutServerLoad } from './$types';

/** What the shell of every page needs: which server this is, and which dryers run. */
export const load: LayoutServerLoad = async (event) => {
	const { config, passphrase } = serverContext();
	// Before the login nothing is told, not even which server this is.
	if (!event.locals.entered) return { drying: { now: Date.now(), runs: [] }, serverId: '', instance: '', locked: true, loggedIn: false };
	const [runs, id] = await Promise.all([runningRuns(database()), serverId()]);
	return {
		drying: { now: Date.now(), runs },
		serverId: id,
		instance: config.DRAUGHT_INSTANCE,
		locked: false,
		loggedIn: passphrase !== null
	};
};
