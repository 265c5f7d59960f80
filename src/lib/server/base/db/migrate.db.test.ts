import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { v7 } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import { dropDatabase, testDatabaseUrl } from '../../../../../tests/support/database';
import { connect } from './client';
import { sayDangling } from './dangling-rows';
import { dump } from '../../backup/dump';
import { migrate } from './migrate';
import { maker } from './schema';

const urls: string[] = [];
const fresh = (): string => {
	const url = testDatabaseUrl();
	urls.push(url);
	return url;
};
afterEach(async () => {
	for (const url of urls.splice(0)) await dropDatabase(url);
});

type Journal = { entries: { tag: string }[] };
const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as Journal;

/** A folder with the first k migrations: the program as it was then. */
function firstMigrations(parent: string, k: number): string {
	const folder = mkdtempSync(join(parent, `first-${k}-`));
	const entries = journal.entries.slice(0, k);
	mkdirSync(join(folder, 'meta'));
	writeFileSync(join(folder, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
	for (const { tag } of entries) cpSync(join('drizzle', `${tag}.sql`), join(folder, `${tag}.sql`));
	return folder;
}

describe('migrations', () => {
	it('one killed in its middle runs again, whole, whichever it is', async () => {
		const directory = mkdtempSync(join(tmpdir(), 'draught-killed-'));
		const made = async (url: string) => {
			const connection = await createConnection(url);
			const [tables] = await connection.query<RowDataPacket[]>('SHOW TABLES');
			const said: string[] = [];
			for (const row of tables) {
				const [[create]] = await connection.query<RowDataPacket[]>(`SHOW CREATE TABLE \`${String(Object.values(row)[0])}\``);
				said.push(String(create?.['Create Table']).replace(/ AUTO_INCREMENT=\d+/, ''));
			}
			await connection.end();
			return said;
		};
		try {
			const whole = fresh();
			await migrate(whole);
			const expected = await made(whole);
			for (const [k, { tag }] of journal.entries.entries()) {
				const statements = readFileSync(join('drizzle', `${tag}.sql`), 'utf8').split('--> statement-breakpoint');
				for (const done of new Set([Math.ceil(statements.length / 2), statements.length])) {
					const url = fresh();
					// The program of then, the first statements of what came next, and no mark that they were done.
					if (k > 0) await migrate(url, firstMigrations(directory, k));
					else {
						const server = await createConnection(url.slice(0, url.lastIndexOf('/')));
						await server.query(`CREATE DATABASE \`${new URL(url).pathname.slice(1)}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
						await server.end();
					}
					const connection = await createConnection(url);
					for (const statement of statements.slice(0, done)) await connection.query(statement);
					await connection.end();
					await migrate(url);
					expect(await made(url), `${tag} after ${done} of ${statements.length}`).toEqual(expected);
				}
			}
		} finally {
			rmSync(directory, { recursive: true });
		}
	});

	it('twice at once: one applies, the other waits and finds nothing to do', async () => {
		const url = fresh();
		const results = await Promise.all([migrate(url), migrate(url), migrate(url)]);
		expect(results.map((r) => r.applied).sort()).toEqual([0, 0, results[0]?.total]);
	});

	it('one killed half-way runs again', async () => {
		const url = fresh();
		const name = new URL(url).pathname.slice(1);
		await migrate(url);
		// What a kill leaves: tables made, one of them not yet, and no mark that the migration was done.
		const connection = await createConnection(url.slice(0, url.lastIndexOf('/')));
		await connection.query(`DELETE FROM \`${name}\`.__drizzle_migrations`);
		await connection.query(`DROP TABLE \`${name}\`.\`write_log\``);
		await connection.end();
		const again = await migrate(url);
		expect(again.applied).toBe(again.total);
		const { db, pool } = connect(url);
		expect(await db.execute(sql`SELECT COUNT(*) AS n FROM write_log`)).toBeTruthy();
		await pool.end();
	});

	it('a database of the version before is dumped first, then brought up to date with every row in place', async () => {
		const url = fresh();
		const older = mkdtempSync(join(tmpdir(), 'draught-older-'));
		const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: { tag: string }[] };
		const [first] = journal.entries;
		mkdirSync(join(older, 'meta'));
		writeFileSync(join(older, 'meta/_journal.json'), JSON.stringify({ ...journal, entries: [first] }));
		cpSync(join('drizzle', `${first?.tag}.sql`), join(older, `${first?.tag}.sql`));
		await migrate(url, older);
		const { db, pool } = connect(url);
		await db.insert(maker).values({ id: v7(), name: 'Before', createdAt: 1 });
		const file = join(older, 'before.sql');
		let dumps = 0;
		const result = await migrate(url, 'drizzle', async () => {
			dumps += 1;
			await dump(url, file);
		});
		expect(result.applied).toBe(journal.entries.length - 1);
		expect(dumps).toBe(1);
		expect(readFileSync(file, 'utf8')).toContain('Before');
		expect(readFileSync(file, 'utf8')).not.toContain('drying_run');
		expect(await db.select({ name: maker.name }).from(maker)).toEqual([{ name: 'Before' }]);
		expect(await db.execute(sql`SELECT COUNT(*) FROM drying_run`)).toBeTruthy();
		await migrate(url, 'drizzle', () => Promise.reject(new Error('nothing changes: no dump')));
		await pool.end();
		rmSync(older, { recursive: true });
	});

	it('rows that point nowhere are reported, never block, and no new ones get in', async () => {
		const url = fresh();
		const directory = mkdtempSync(join(tmpdir(), 'draught-dangling-'));
		await migrate(url, firstMigrations(directory, 11));
		const connection = await createConnection(url);
		const [lost, spools] = [Buffer.alloc(16, 7), [Buffer.alloc(16, 1), Buffer.alloc(16, 2)]];
		const put = (id: Buffer, code: string) =>
			connection.query('INSERT INTO spool (id, filament_id, bench_code, created_at) VALUES (?, ?, ?, 1)', [id, lost, code]);
		for (const [i, id] of spools.entries()) await put(id, `KE${i}`);
		await connection.query('INSERT INTO part (id, spool_id, name, at, zone, created_at) VALUES (?, ?, ?, 1, ?, 1)', [
			lost,
			lost,
			'Hook',
			'UTC'
		]);
		const { dangling } = await migrate(url);
		expect(dangling).toEqual([
			{ table: 'part', column: 'spool_id', into: 'spool', rows: 1 },
			{ table: 'spool', column: 'filament_id', into: 'filament', rows: 2 }
		]);
		expect(sayDangling(dangling)[0]).toBe('in part, 1 row points at nothing in spool (spool_id); left as found');
		expect((await migrate(url)).dangling).toEqual([]);
		await expect(put(Buffer.alloc(16, 3), 'KE3')).rejects.toMatchObject({ code: 'ER_NO_REFERENCED_ROW_2' });
		await connection.query('UPDATE spool SET revision = revision + 1');
		await connection.end();
		rmSync(directory, { recursive: true });
	});

	it('a schema newer than the program is refused and left alone', async () => {
		const url = fresh();
		await migrate(url);
		const { db, pool } = connect(url);
		await db.execute(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('future', 99999999999999)`);
		await expect(migrate(url)).rejects.toThrow(/newer version/);
		await pool.end();
	});
});
