import { serverContext } from './context';
import { serverIdOf } from '../base/db/defaults';
import { withRetry } from '../base/db/errors';

/** Who asks how the server is wants to know now: a database that does not answer by then is away. */
const PATIENCE_MS = 1500;

export type Health = { state: 'ok' | 'databaseAway'; instance: string; serverId: string | null; said?: string };

/** Whether this server can keep readings: it asks the database, and does not wait for one that is stalled. */
export async function health(): Promise<Health> {
	const { db, config } = serverContext();
	const named = { instance: config.DRAUGHT_INSTANCE };
	const serverId = await within(
		PATIENCE_MS,
		withRetry(() => serverIdOf(db))
	);
	if (serverId !== null) return { state: 'ok', ...named, serverId };
	return { state: 'databaseAway', ...named, serverId: null, said: 'The database does not answer. Nothing is lost; what you enter waits.' };
}

/** What work comes to, or null where it failed or took longer. */
export async function within<T>(ms: number, work: Promise<T>): Promise<T | null> {
	let timer: ReturnType<typeof setTimeout> | undefined;
	const late = new Promise<null>((done) => {
		timer = setTimeout(() => done(null), ms);
	});
	try {
		return await Promise.race([work.catch(() => null), late]);
	} finally {
		clearTimeout(timer);
	}
}
