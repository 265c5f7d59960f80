import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { createConnection } from 'mysql2/promise';
import { v7 } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import { dropDatabase, testDatabase, testDatabaseUrl } from '../../../../tests/support/database';
import { connect } from './client';
import { dump } from './dump';
import { migrate } from './migrate';
import { restore } from './restore';
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

describe('migrations', () => {
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

	it('a schema newer than the program is refused and left alone', async () => {
		const url = fresh();
		await migrate(url);
		const { db, pool } = connect(url);
		await db.execute(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('future', 99999999999999)`);
		await expect(migrate(url)).rejects.toThrow(/newer version/);
		await pool.end();
	});
});

describe('backup and restore', () => {
	it('brings every row back, bytes and all, and keeps what was there', async () => {
		const source = await testDatabase();
		const directory = mkdtempSync(join(tmpdir(), 'draught-backup-'));
		try {
			const id = v7();
			await source.db.insert(maker).values({ id, name: "Ünnamed 'maker' 🧵 \\", createdAt: 5 });
			const file = join(directory, 'backup.sql');
			await dump(source.url, file);
			await source.db.delete(maker);
			await source.db.insert(maker).values({ id: v7(), name: 'later', createdAt: 6 });
			await restore(source.url, file, join(directory, 'kept.sql'));
			expect(await source.db.select({ id: maker.id, name: maker.name }).from(maker)).toEqual([{ id, name: "Ünnamed 'maker' 🧵 \\" }]);
			await restore(source.url, join(directory, 'kept.sql'), join(directory, 'kept2.sql'));
			expect((await source.db.select().from(maker)).map((m) => m.name)).toEqual(['later']);
		} finally {
			rmSync(directory, { recursive: true });
			await source.close();
		}
	});

	it('a file that is no backup changes nothing', async () => {
		const source = await testDatabase();
		const directory = mkdtempSync(join(tmpdir(), 'draught-backup-'));
		try {
			await source.db.insert(maker).values({ id: v7(), name: 'stays', createdAt: 5 });
			const junk = join(directory, 'junk.sql');
			writeFileSync(junk, 'CREATE TABLE somewhere_else (a INT);');
			await expect(restore(source.url, junk, join(directory, 'kept.sql'))).rejects.toThrow(/no backup of Draught/);
			writeFileSync(junk, 'this is not SQL;');
			await expect(restore(source.url, junk, join(directory, 'kept.sql'))).rejects.toThrow(/restore failed/);
			expect((await source.db.select().from(maker)).map((m) => m.name)).toEqual(['stays']);
		} finally {
			rmSync(directory, { recursive: true });
			await source.close();
		}
	});
});
