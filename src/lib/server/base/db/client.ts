import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2';
import type { Socket } from 'node:net';
import type { PoolConnection } from 'mysql2';
import { createPool, type Pool } from 'mysql2/promise';
import * as schema from './schema';

export type Database = MySql2Database<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
export type Reader = Database | Transaction;

export type Connection = { db: Database; pool: Pool };

/** A statement that takes longer is stopped, so that one does not stop all others. */
const LONGEST_S = 10;
/** A database that is stalled stops nothing: a statement without an answer for this long is given up, and its connection with it. */
const SILENT_MS = 15_000;

/** Session variables are set on connect, so that any server behaves as ours does. */
const session = (longestS: number): string =>
	`SET SESSION sql_mode='STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO', time_zone='+00:00', max_statement_time=${longestS}`;

/**
 * Opens a pool on a database. Nothing is read or written yet.
 * @param given.patient for tasks beside the server, whose statements may take as long as they need
 */
export function connect(databaseUrl: string, { patient = false } = {}): Connection {
	const pool = createPool({
		uri: databaseUrl,
		timezone: 'Z',
		charset: 'utf8mb4',
		connectionLimit: 8,
		supportBigNumbers: true,
		connectTimeout: 10_000
	});
	// mysql2 queues commands of a connection, so this runs before any query of ours on it.
	pool.pool.on('connection', (connection) => {
		connection.query(session(patient ? 0 : LONGEST_S));
		if (!patient) giveUpOnSilence(connection);
	});
	return { db: drizzle(pool, { schema, casing: 'snake_case', mode: 'planetscale' }), pool };
}

/**
 * Closes a connection whose statement stays without an answer: what became of it is not known, and who waits for the connection would wait
 * for ever. One that idles is left alone.
 */
function giveUpOnSilence(connection: PoolConnection): void {
	const { stream } = connection as unknown as { stream: Socket };
	stream.setTimeout(SILENT_MS, () => {
		const { _command: asked } = connection as unknown as { _command?: unknown };
		if (asked) stream.destroy(Object.assign(new Error('the database does not answer'), { code: 'ETIMEDOUT' }));
	});
}
