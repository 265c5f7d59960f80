import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { v7 } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import { dropDatabase, testDatabase, testDatabaseUrl, type TestDatabase } from '../../../../tests/support/database';
import { connect } from './client';
import { sayDangling } from './dangling-rows';
import { dump } from './dump';
import { migrate } from './migrate';
import { restore } from './restore';
import { maker, server } from './schema';

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

	/** A bench with one maker, and a backup of it. */
	async function backedUp(work: (given: { source: TestDatabase; directory: string; file: string }) => Promise<void>): Promise<void> {
		const source = await testDatabase();
		const directory = mkdtempSync(join(tmpdir(), 'draught-backup-'));
		try {
			await source.db.insert(maker).values({ id: v7(), name: 'stays', createdAt: 5 });
			const file = join(directory, 'backup.sql');
			await dump(source.url, file);
			await work({ source, directory, file });
			expect((await source.db.select().from(maker)).map((m) => m.name)).toEqual(['stays']);
			expect(readdirSync(directory).filter((name) => name.startsWith('kept'))).toEqual([]);
		} finally {
			rmSync(directory, { recursive: true });
			await source.close();
		}
	}

	it('a backup that was cut off, at a statement’s end or anywhere, is refused before anything is replaced', async () => {
		await backedUp(async ({ source, directory, file }) => {
			const whole = readFileSync(file, 'utf8');
			const cut = join(directory, 'cut.sql');
			const ends = [...whole.matchAll(/;\n/g)].map((m) => (m.index ?? 0) + 2);
			for (const end of [ends[Math.floor(ends.length / 2)] ?? 0, ends.at(-1) ?? 0, whole.length - 40, Math.floor(whole.length / 3)]) {
				writeFileSync(cut, whole.slice(0, end));
				await expect(restore(source.url, cut, join(directory, 'kept.sql'))).rejects.toThrow(/not whole|no backup of Draught/);
			}
			// Cut and closed again by hand, or by a program that means well.
			writeFileSync(cut, `${whole.slice(0, ends[Math.floor(ends.length / 2)])}-- Dump completed on 2026-01-01\n`);
			await expect(restore(source.url, cut, join(directory, 'kept.sql'))).rejects.toThrow(/no backup of Draught|not whole|failed/);
		});
	});

	it('a backup that lost a row on the way is told by its counts', async () => {
		await backedUp(async ({ source, directory, file }) => {
			const lines = readFileSync(file, 'utf8').split('\n');
			const cut = join(directory, 'cut.sql');
			writeFileSync(cut, lines.filter((line) => !line.startsWith('INSERT INTO `maker`')).join('\n'));
			await expect(restore(source.url, cut, join(directory, 'kept.sql'))).rejects.toThrow('maker has 0 of 1 rows');
		});
	});

	it('a file that is not there is told at once', async () => {
		await backedUp(async ({ source, directory }) => {
			await expect(restore(source.url, join(directory, 'nowhere.sql'), join(directory, 'kept.sql'))).rejects.toThrow(/there is no file/);
		});
	});

	it('what a file says to the client itself is not done', async () => {
		await backedUp(async ({ source, directory, file }) => {
			const trap = join(directory, 'trap');
			const evil = join(directory, 'evil.sql');
			writeFileSync(evil, `\\! touch ${trap}\n${readFileSync(file, 'utf8')}`);
			await restore(source.url, evil, join(directory, 'kept.sql')).catch(() => undefined);
			expect(existsSync(trap)).toBe(false);
			rmSync(join(directory, 'kept.sql'), { force: true });
		});
	});

	it('a statement that fails is told in one line', async () => {
		await backedUp(async ({ source, directory, file }) => {
			const broken = join(directory, 'broken.sql');
			writeFileSync(
				broken,
				readFileSync(file, 'utf8').replace(/INSERT INTO `maker`.*/, `INSERT INTO maker VALUES (${'7,'.repeat(5000)}7);`)
			);
			const said = await restore(source.url, broken, join(directory, 'kept.sql')).then(
				() => '',
				(error: unknown) => (error instanceof Error ? error.message : '')
			);
			expect(said).toMatch(/^the restore failed: ERROR 1136/);
			expect(said.split('\n')).toHaveLength(1);
			expect(said.length).toBeLessThanOrEqual(330);
		});
	});

	it('leaves nothing worked out before the restore in force', async () => {
		await backedUp(async ({ source, directory, file }) => {
			const epoch = async () => (await source.db.select().from(server))[0]?.epoch;
			const before = await epoch();
			await restore(source.url, file, join(directory, 'kept.sql'));
			const first = await epoch();
			expect(first).not.toBe(before);
			await restore(source.url, file, join(directory, 'kept2.sql'));
			expect(await epoch()).not.toBe(first);
			rmSync(join(directory, 'kept.sql'));
			rmSync(join(directory, 'kept2.sql'));
		});
	});

	it('a dump of every earlier version comes in and up to date', async () => {
		const target = await testDatabase();
		const directory = mkdtempSync(join(tmpdir(), 'draught-older-'));
		try {
			for (const k of [1, 3, 5, 8]) {
				const url = fresh();
				await migrate(url, firstMigrations(directory, k));
				const { db, pool } = connect(url);
				await db.execute(sql`INSERT INTO server (id, created_at) VALUES (UNHEX(REPLACE(UUID(), '-', '')), 1)`);
				await db.execute(sql`INSERT INTO maker (id, name, created_at) VALUES (UNHEX(REPLACE(UUID(), '-', '')), ${`of ${k}`}, 1)`);
				await pool.end();
				const file = join(directory, `${k}.sql`);
				await dump(url, file);
				// As earlier versions of Draught wrote them: without the counts at the end.
				writeFileSync(file, readFileSync(file, 'utf8').replace(/-- draught backup .*\n$/, ''));
				await restore(target.url, file, join(directory, `kept-${k}.sql`));
				expect((await target.db.select({ name: maker.name }).from(maker)).map((m) => m.name)).toEqual([`of ${k}`]);
			}
		} finally {
			rmSync(directory, { recursive: true });
			await target.close();
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
			await expect(restore(source.url, junk, join(directory, 'kept.sql'))).rejects.toThrow(/no backup of Draught/);
			expect((await source.db.select().from(maker)).map((m) => m.name)).toEqual(['stays']);
		} finally {
			rmSync(directory, { recursive: true });
			await source.close();
		}
	});
});
