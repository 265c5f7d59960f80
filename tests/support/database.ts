import { execFileSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { connect, type Connection } from '../../src/lib/server/base/db/client';
import { ensureDefaults } from '../../src/lib/server/base/db/defaults';
import { migrate } from '../../src/lib/server/base/db/migrate';

const instance = process.env.DRAUGHT_TEST_INSTANCE_DIR ?? resolve('.cache/test/instance');

/** The address of the throw-away MariaDB without a database; started here when a single test file is run by hand. */
export function testServer(): string {
	if (process.env.DRAUGHT_TEST_DATABASE_BASE) return process.env.DRAUGHT_TEST_DATABASE_BASE;
	mkdirSync(instance, { recursive: true });
	return execFileSync(resolve('scripts/mariadb.sh'), ['start', instance], {
		encoding: 'utf8',
		env: { ...process.env, DRAUGHT_DB_PORT: '43406' }
	}).trim();
}

/** A name no other test uses. */
export const testDatabaseUrl = (): string => `${testServer()}/draught_test_${randomBytes(6).toString('hex')}`;

export async function dropDatabase(url: string): Promise<void> {
	const connection = await createConnection(url.slice(0, url.lastIndexOf('/')));
	await connection.query(`DROP DATABASE IF EXISTS \`${new URL(url).pathname.slice(1)}\``);
	await connection.end();
}

export type TestDatabase = Connection & { url: string; close: () => Promise<void> };

/** A migrated database of its own. */
export async function testDatabase(): Promise<TestDatabase> {
	const url = testDatabaseUrl();
	await migrate(url, join(process.cwd(), 'drizzle'));
	const connection = connect(url);
	await ensureDefaults(connection.db, 0);
	return {
		...connection,
		url,
		close: async () => {
			await connection.pool.end();
			await dropDatabase(url);
		}
	};
}
