import { readMigrationFiles } from 'drizzle-orm/migrator';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate as runMigrations } from 'drizzle-orm/mysql2/migrator';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { danglingRows, type DanglingRows } from './dangling-rows';

const LOCK = 'draught_migrate';
const TABLE = '__drizzle_migrations';

/** What was applied now, of how many; and, after a change, the rows found that point nowhere. */
export type MigrationResult = { applied: number; total: number; dangling: DanglingRows[] };

/**
 * Brings a database up to date from one process at a time: others wait on a named lock and then find nothing to do.
 * The database is made if it is missing. A schema newer than this program's is refused and left as it is.
 * Statements say IF NOT EXISTS: DDL is not rolled back, so a killed migration must be able to run again.
 * @param beforeChange is called once before anything changes in a database that already has tables (a dump)
 */
export async function migrate(databaseUrl: string, folder = 'drizzle', beforeChange?: () => Promise<void>): Promise<MigrationResult> {
	const url = new URL(databaseUrl);
	const database = url.pathname.slice(1);
	url.pathname = '/';
	const connection = await createConnection({ uri: url.href, timezone: 'Z', charset: 'utf8mb4' });
	try {
		await connection.query(
			`CREATE DATABASE IF NOT EXISTS \`${database.replaceAll('`', '')}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`
		);
		await connection.changeUser({ database });
		await connection.query(`SET SESSION sql_mode='STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION', time_zone='+00:00'`);
		const [locked] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, 120) AS got', [`${LOCK}_${database}`]);
		if (locked[0]?.got !== 1) throw new Error('another migration of this database did not finish within two minutes');
		const known = readMigrationFiles({ migrationsFolder: folder });
		const done = await appliedMigrations(connection, database);
		const newest = Math.max(0, ...known.map((m) => m.folderMillis));
		const ahead = done.filter((at) => at > newest);
		if (ahead.length > 0)
			throw new Error(`this database was written by a newer version of Draught (${ahead.length} migrations ahead); it was left as it is`);
		if (done.length < known.length && done.length > 0 && beforeChange) await beforeChange();
		await runMigrations(drizzle(connection, { casing: 'snake_case', mode: 'planetscale' }), { migrationsFolder: folder });
		const applied = known.length - done.length;
		return { applied, total: known.length, dangling: applied > 0 ? await danglingRows(connection, database) : [] };
	} finally {
		await connection.end();
	}
}

async function appliedMigrations(connection: Awaited<ReturnType<typeof createConnection>>, database: string): Promise<number[]> {
	const [tables] = await connection.query<RowDataPacket[]>(
		'SELECT 1 FROM information_schema.tables WHERE table_schema = ? AND table_name = ?',
		[database, TABLE]
	);
	if (tables.length === 0) return [];
	const [rows] = await connection.query<RowDataPacket[]>(`SELECT created_at AS at FROM ${TABLE}`);
	return rows.map((row) => Number(row.at));
}
