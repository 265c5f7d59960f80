import { describe, expect, it } from 'vitest';
import { isAway, isDuplicate, isFull, isLost, isSlow, OutcomeUnknown, withRetry } from './errors';

const coded = (code: string) => Object.assign(new Error(code), { code });
/** As Drizzle wraps what the driver says. */
const wrapped = (code: string) => new Error('Failed query', { cause: coded(code) });

/** Fails so often in this way, then gives its number of tries. */
function failing(...errors: Error[]) {
	let tries = 0;
	return () => {
		const error = errors[tries++];
		return error ? Promise.reject(error) : Promise.resolve(tries);
	};
}
const times = (n: number, error: Error) => Array.from({ length: n }, () => error);

describe('work that failed', () => {
	it.each(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])(
		'is tried three times more where it met another: %s',
		async (code) => {
			expect(await withRetry(failing(...times(3, wrapped(code))))).toBe(4);
			await expect(withRetry(failing(...times(4, wrapped(code))))).rejects.toThrow('Failed query');
		}
	);
	it('is tried as often as the pool is wide where its connection was lost', async () => {
		expect(await withRetry(failing(...times(8, wrapped('PROTOCOL_CONNECTION_LOST'))))).toBe(9);
		await expect(withRetry(failing(...times(9, wrapped('ECONNRESET'))))).rejects.toBeInstanceOf(OutcomeUnknown);
	});
	it('of which nobody knows what became is told as that; where nothing was sent it is told as it is', async () => {
		await expect(withRetry(failing(wrapped('EPIPE'), wrapped('ECONNREFUSED')))).rejects.toBeInstanceOf(OutcomeUnknown);
		const refused = withRetry(failing(wrapped('ECONNREFUSED')));
		await expect(refused).rejects.not.toBeInstanceOf(OutcomeUnknown);
		await expect(refused).rejects.toThrow('Failed query');
		// The connection was lost, but what came after has another cause.
		await expect(withRetry(failing(wrapped('EPIPE'), coded('ER_DUP_ENTRY')))).rejects.toThrow('ER_DUP_ENTRY');
	});
	it('for any other reason is not tried again', async () => {
		await expect(withRetry(failing(coded('ER_DUP_ENTRY')))).rejects.toThrow('ER_DUP_ENTRY');
		await expect(withRetry(() => Promise.reject(new Error('ours')))).rejects.toThrow('ours');
	});
});

describe('what the database says', () => {
	it('is known however deep it lies', () => {
		const deep = new Error('a', { cause: new Error('b', { cause: coded('ER_DUP_ENTRY') }) });
		expect([isDuplicate(deep), isDuplicate(coded('ER_LOCK_DEADLOCK')), isDuplicate('ER_DUP_ENTRY')]).toEqual([true, false, false]);
	});
	it('tells lost, away, slow and full apart', () => {
		const kinds = (error: unknown) => [isLost(error), isAway(error), isSlow(error), isFull(error)];
		expect(kinds(wrapped('ECONNRESET'))).toEqual([true, true, false, false]);
		expect(kinds(new Error("Can't add new command when connection is in closed state"))).toEqual([true, true, false, false]);
		expect(kinds(new Error('Connection lost: The server closed the connection.'))).toEqual([true, true, false, false]);
		expect(kinds(wrapped('ETIMEDOUT'))).toEqual([false, true, false, false]);
		expect(kinds(wrapped('ER_STATEMENT_TIMEOUT'))).toEqual([false, false, true, false]);
		expect(kinds(Object.assign(new Error('max_statement_time exceeded'), { errno: 1969 }))).toEqual([false, false, true, false]);
		expect(kinds(Object.assign(coded('ECONNREFUSED'), { errno: -111 }))).toEqual([false, true, false, false]);
		expect(kinds(wrapped('ER_DISK_FULL'))).toEqual([false, false, false, true]);
		expect(kinds(new Error('ours'))).toEqual([false, false, false, false]);
	});
});
