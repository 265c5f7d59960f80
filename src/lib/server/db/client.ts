import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2';
import { createPool, type Pool } from 'mysql2/promise';
import * as schema from './schema';

export type Database = MySql2Database<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
export type Reader = Database | Transaction;

export type Connection = { db: Database; pool: Pool };

/** Session variables are set on connect, so that any server behaves as ours does. */
const SESSION = `SET SESSION sql_mode='STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO', time_zone='+00:00'`;

/** Opens a pool on a database. Nothing is read or written yet. */
export function connect(databaseUrl: string): Connection {
	const pool = createPool({
		uri: databaseUrl,
		timezone: 'Z',
		charset: 'utf8mb4',
		connectionLimit: 8,
		supportBigNumbers: true,
		connectTimeout: 10_000
	});
	// mysql2 queues commands of a connection, so this runs before any query of ours on it.
	pool.pool.on('connection', (connection) => connection.query(SESSION));
	return { db: drizzle(pool, { schema, casing: 'snake_case', mode: 'planetscale' }), pool };
}
