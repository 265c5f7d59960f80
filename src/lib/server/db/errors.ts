const LOST = ['PROTOCOL_CONNECTION_LOST', 'ECONNRESET', 'EPIPE', 'ER_SERVER_SHUTDOWN', 'ER_CONNECTION_KILLED'];
const AWAY = ['ECONNREFUSED', 'ETIMEDOUT', 'ENOTFOUND', 'PROTOCOL_SEQUENCE_TIMEOUT'];
const COLLIDED = ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'];

/** The driver's code, wherever Drizzle wrapped it. */
function codeOf(error: unknown): string | null {
	for (let e = error; e instanceof Error; e = e.cause) if ('code' in e && typeof e.code === 'string') return e.code;
	return null;
}

export const isDuplicate = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY';
export const isAway = (error: unknown): boolean => [...LOST, ...AWAY].includes(codeOf(error) ?? '');

/**
 * Runs idempotent work again after a deadlock (up to three times) or one lost connection.
 * A pooled connection fails once after the server restarted; the second attempt opens a new one.
 */
export async function withRetry<T>(work: () => Promise<T>): Promise<T> {
	let collisions = 0;
	let lost = 0;
	for (;;) {
		try {
			return await work();
		} catch (error) {
			const code = codeOf(error) ?? '';
			// Every idle connection of the pool is dead after a restart, so allow as many losses as the pool is wide.
			if (COLLIDED.includes(code) && ++collisions <= 3) continue;
			if (LOST.includes(code) && ++lost <= 8) continue;
			throw error;
		}
	}
}
