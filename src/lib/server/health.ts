import { serverContext } from './context';
import { serverIdOf } from './db/defaults';
import { withRetry } from './db/errors';

/** Whether this server can keep readings: it asks the database. */
export async function health(): Promise<{ state: 'ok' | 'databaseAway'; instance: string; serverId: string | null }> {
	const { db, config } = serverContext();
	const named = { instance: config.DRAUGHT_INSTANCE };
	try {
		return { state: 'ok', ...named, serverId: await withRetry(() => serverIdOf(db)) };
	} catch {
		return { state: 'databaseAway', ...named, serverId: null };
	}
}
