import { readConfig, type Config } from '../base/config';
import { connect, type Connection } from '../base/db/client';
import { backupFile } from '../backup/backup-file';
import { ensureDefaults, serverIdOf } from '../base/db/defaults';
import { sayDangling } from '../base/db/dangling-rows';
import { dump } from '../backup/dump';
import { migrate } from '../base/db/migrate';
import { PassphraseCheck } from '../base/passphrase';
import { repeatTask } from '../base/background';

/** What a running server has: one of each, made at start by hooks.server.ts. */
export type ServerContext = Connection & {
	config: Config;
	passphrase: PassphraseCheck | null;
	/** Ends what runs now and then beside the server. */
	stopTasks: () => void;
};

/** How often lists are worked out beside the server. */
const LISTINGS_MINUTES = 5;

let context: ServerContext | null = null;

/** Checks the environment, brings the schema up to date and opens the pool. Throws with a clear message; nothing half-started stays. */
export async function startServer(env: Record<string, string | undefined>, now: number): Promise<void> {
	if (context) return;
	const config = readConfig(env);
	// Started by hand or by script: what was there is dumped before anything in it changes.
	const { dangling } = await migrate(config.DATABASE_URL, 'drizzle', () =>
		dump(config.DATABASE_URL, backupFile(config, 'before-migration', now))
	);
	for (const line of sayDangling(dangling)) console.warn(`draught: ${line}`);
	const connection = connect(config.DATABASE_URL);
	await ensureDefaults(connection.db, now);
	const word = config.DRAUGHT_PASSPHRASE;
	context = {
		...connection,
		config,
		passphrase: word === undefined ? null : new PassphraseCheck(word),
		stopTasks: both(
			repeatTask('learn-priors', config.DRAUGHT_LEARN_MINUTES, env, 'nothing could be learnt from the record'),
			repeatTask('keep-listings', config.DRAUGHT_LEARN_MINUTES === 0 ? 0 : LISTINGS_MINUTES, env, 'lists could not be worked out'),
			repeatTask('keep-backup', config.DRAUGHT_BACKUP_MINUTES, env, 'no backup could be made')
		)
	};
}

export async function stopServer(): Promise<void> {
	const ending = context;
	context = null;
	ending?.stopTasks();
	await ending?.pool.end();
}

export function serverContext(): ServerContext {
	if (!context) throw new Error('the server has not started');
	return context;
}

/** Which server this record is of. */
export const serverId = (): Promise<string> => serverIdOf(database());

/** The database of the running server. */
export const database = () => serverContext().db;

const both =
	(...work: (() => void)[]) =>
	(): void =>
		work.forEach((one) => one());
