import { readConfig, type Config } from './config';
import { connect, type Connection } from './db/client';
import { backupFile } from './db/backup-file';
import { ensureDefaults } from './db/defaults';
import { dump } from './db/dump';
import { migrate } from './db/migrate';

/** What a running server has: one of each, made at start by hooks.server.ts. */
export type ServerContext = Connection & { config: Config; serverId: string };

let context: ServerContext | null = null;

/** Checks the environment, brings the schema up to date and opens the pool. Throws with a clear message; nothing half-started stays. */
export async function startServer(env: Record<string, string | undefined>, now: number): Promise<void> {
	if (context) return;
	const config = readConfig(env);
	// Started by hand or by script: what was there is dumped before anything in it changes.
	await migrate(config.DATABASE_URL, 'drizzle', () => dump(config.DATABASE_URL, backupFile(config, 'before-migration', now)));
	const connection = connect(config.DATABASE_URL);
	context = { ...connection, config, serverId: await ensureDefaults(connection.db, now) };
}

export async function stopServer(): Promise<void> {
	const ending = context;
	context = null;
	await ending?.pool.end();
}

export function serverContext(): ServerContext {
	if (!context) throw new Error('the server has not started');
	return context;
}

/** The database of the running server. */
export const database = () => serverContext().db;
