import { sql } from 'drizzle-orm';
import { serverContext } from './context';
import { withRetry } from './db/errors';

/** Whether this server can keep readings: it asks the database. */
export async function health(): Promise<{ state: 'ok' | 'databaseAway'; instance: string; serverId: string }> {
	const { db, config, serverId } = serverContext();
	const named = { instance: config.DRAUGHT_INSTANCE, serverId };
	try {
		await withRetry(() => db.execute(sql`SELECT 1`));
		return { state: 'ok', ...named };
	} catch {
		return { state: 'databaseAway', ...named };
	}
}
