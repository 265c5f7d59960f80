const LOST = ['PROTOCOL_CONNECTION_LOST', 'ECONNRESET', 'EPIPE', 'ER_SERVER_SHUTDOWN', 'ER_CONNECTION_KILLED', 'ER_SERVER_GONE_ERROR'];
const AWAY = ['ECONNREFUSED', 'ETIMEDOUT', 'ENOTFOUND', 'PROTOCOL_SEQUENCE_TIMEOUT'];
const COLLIDED = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'];
const SLOW = ['ER_STATEMENT_TIMEOUT', 'ER_QUERY_TIMEOUT'];
const FULL = ['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ER_ERROR_ON_WRITE', 'ER_TEMP_FILE_WRITE_FAILURE'];

function* causes(error: unknown): Generator<Error> {
	for (let e = error; e instanceof Error; e = e.cause) yield e;
}

/** The driver's code, wherever Drizzle wrapped it. */
function codeOf(error: unknown): string | null {
	for (const e of causes(error)) if ('code' in e && typeof e.code === 'string') return e.code;
	return null;
}

const isOneOf = (codes: readonly string[], error: unknown): boolean => codes.includes(codeOf(error) ?? '');

/**
 * Whether the connection broke under the work. When it breaks inside a transaction Drizzle's rollback fails on it too, and its error,
 * which has no code, hides the first one: the driver only says that nothing more can be sent.
 */
export const isLost = (error: unknown): boolean =>
	isOneOf(LOST, error) || [...causes(error)].some((e) => /connection is in closed state|Connection lost/i.test(e.message));

export const isDuplicate = (error: unknown): boolean => isOneOf(['ER_DUP_ENTRY'], error);
export const isAway = (error: unknown): boolean => isLost(error) || isOneOf(AWAY, error);
/** A statement took longer than one may: the database stopped it. */
export const isSlow = (error: unknown): boolean => isOneOf(SLOW, error) || [...causes(error)].some((e) => 'errno' in e && e.errno === 1969);
/** The disk of the database is full: nothing was stored, and it is over when there is space again. */
export const isFull = (error: unknown): boolean => isOneOf(FULL, error);

/** The database went away while something was being written: whether COMMIT came through is not known. */
export class OutcomeUnknown extends Error {}

/**
 * Runs idempotent work again after a deadlock (up to three times) or one lost connection.
 * A pooled connection fails once after the server restarted; the second attempt opens a new one.
 * @throws OutcomeUnknown when a connection broke under the work and no later attempt could tell what became of it
 */
export async function withRetry<T>(work: () => Promise<T>): Promise<T> {
	let collisions = 0;
	let lost = 0;
	for (;;) {
		try {
			return await work();
		} catch (error) {
			if (isOneOf(COLLIDED, error) && ++collisions <= 3) continue;
			// Every idle connection of the pool is dead after a restart, so allow as many losses as the pool is wide.
			if (isLost(error) && ++lost <= 8) continue;
			if (lost > 0 && isAway(error)) throw new OutcomeUnknown('the database went away', { cause: error });
			throw error;
		}
	}
}
