import { randomBytes } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { parse, v7 } from 'uuid';
import { danglingRows, type DanglingRows } from '../base/db/dangling-rows';
import { migrate } from '../base/db/migrate';
import { dump } from './dump';
import { change, fingerprint, tablesOf } from './fingerprint';
import { load, withLoader } from './load';
import { readBackup, type BackupContents, type Progress } from './read-backup';

/** What a restore is at, for whoever waits for it. */
export type RestoreStep = 'reading' | 'keeping' | 'loading' | 'checking' | 'replacing';
export type RestoreProgress = (step: RestoreStep, part: number) => void;

/** Where what was there before lies, or null where there was nothing; and rows of the backup that point nowhere. */
export type Restored = { kept: string | null; dangling: DanglingRows[] };

/**
 * Replaces a database by a backup, in this order: the file is read, every statement of it; the present record is dumped to `keepFile`;
 * the backup is loaded beside it by an account that can write nothing else, counted, brought up to date; only then the two change places
 * in one statement. What was written meanwhile is dumped too. Where any of it fails, the record is compared with what it was, and the
 * error says what was found. A running server may go on: the record gets a new epoch, by which it tells what it had worked out before.
 */
export async function restore(
	databaseUrl: string,
	file: string,
	keepFile: string,
	progress: RestoreProgress = () => undefined
): Promise<Restored> {
	const database = new URL(databaseUrl).pathname.slice(1);
	const contents = await readBackup(file, (part) => progress('reading', part)).catch((error: unknown) => {
		// Nothing was opened yet but the file.
		throw new Error(`${said(error)}; nothing was changed`, { cause: error });
	});
	return await alone(databaseUrl, async (connection) => {
		await clearLeftovers(connection, databaseUrl, keepFile);
		await makeDatabase(connection, database, 'IF NOT EXISTS');
		const before = await fingerprint(connection, database);
		progress('keeping', 0);
		if (before.size > 0) await dump(databaseUrl, keepFile);
		let moved = false;
		try {
			const dangling = await loadBeside(connection, databaseUrl, file, contents, progress);
			progress('replacing', 0);
			const replaced = await changePlaces(connection, database);
			moved = true;
			await putAway(connection, databaseUrl, replaced, before, keepFile);
			return { kept: before.size > 0 ? keepFile : null, dangling };
		} catch (error) {
			if (moved) throw new Error(`${said(error)}; the backup is in place, what was there before is in ${keepFile}`, { cause: error });
			const became = change(before, await fingerprint(connection, database));
			if (became === 'none') await rm(keepFile, { force: true });
			throw new Error(`${said(error)}; ${OUTCOMES[became](keepFile)}`, { cause: error });
		} finally {
			await connection.query(`DROP DATABASE IF EXISTS \`${stagingOf(database)}\``);
		}
	});
}

const OUTCOMES = {
	none: () => 'nothing was changed',
	written: () => 'nothing was replaced, and what was saved meanwhile is there',
	lost: (keepFile: string) => `the record is not what it was: restore ${keepFile}, which was made before`
} as const;

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error));

const stagingOf = (database: string): string => `${database}_restoring`;
const at = (databaseUrl: string, name: string): string => Object.assign(new URL(databaseUrl), { pathname: `/${name}` }).href;

/** One restore of a database at a time; a second is told, not made to wait. */
async function alone<T>(databaseUrl: string, work: (connection: Connection) => Promise<T>): Promise<T> {
	const connection = await createConnection({ uri: at(databaseUrl, ''), charset: 'utf8mb4' });
	try {
		const name = `draught_restore_${new URL(databaseUrl).pathname.slice(1)}`;
		const [[got]] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, 0) AS got', [name]);
		if (Number(got?.got) !== 1) throw new Error('another restore of this record is going on; nothing was changed');
		await connection.query('SET SESSION lock_wait_timeout = 60');
		return await work(connection);
	} finally {
		await connection.end();
	}
}

/** Loads the backup into a database of its own beside the record, and looks whether all of it is there. */
async function loadBeside(
	connection: Connection,
	databaseUrl: string,
	file: string,
	contents: BackupContents,
	progress: RestoreProgress
): Promise<DanglingRows[]> {
	const database = new URL(databaseUrl).pathname.slice(1);
	const staging = stagingOf(database);
	await makeDatabase(connection, staging);
	const loading: Progress = (part) => progress('loading', part);
	await withLoader(connection, at(databaseUrl, staging), (url) => load(url, file, loading));
	progress('checking', 0);
	await checkRows(connection, staging, contents);
	await migrate(at(databaseUrl, staging));
	const dangling = await danglingRows(connection, staging);
	await connection.query('UPDATE ??.server SET epoch = ?', [staging, Buffer.from(parse(v7()))]);
	// Who is logged in stays so, and nobody comes back who was when the backup was made.
	if ((await tablesOf(connection, database)).includes('server'))
		await connection.query('UPDATE ??.server SET session_key = COALESCE((SELECT session_key FROM ??.server LIMIT 1), session_key)', [
			staging,
			database
		]);
	if ((await tablesOf(connection, database)).includes('ended_session'))
		await connection.query('INSERT IGNORE INTO ??.ended_session SELECT * FROM ??.ended_session', [staging, database]);
	return dangling;
}

/** The record and the loaded backup change places in one statement. @returns the database in which the record of before now is */
async function changePlaces(connection: Connection, database: string): Promise<string> {
	const replaced = `${database}_replaced_${randomBytes(4).toString('hex')}`;
	await makeDatabase(connection, replaced);
	try {
		const moves = [...(await movesOf(connection, database, replaced)), ...(await movesOf(connection, stagingOf(database), database))];
		await connection.query(`RENAME TABLE ${moves.join(', ')}`);
	} catch (error) {
		await connection.query(`DROP DATABASE \`${replaced}\``);
		throw error;
	}
	return replaced;
}

/** Takes the record of before away, once all of it is in a file: what was saved after the first dump is dumped again. */
async function putAway(
	connection: Connection,
	databaseUrl: string,
	replaced: string,
	before: Awaited<ReturnType<typeof fingerprint>>,
	keepFile: string
): Promise<void> {
	if (change(before, await fingerprint(connection, replaced)) !== 'none') await dump(at(databaseUrl, replaced), keepFile);
	await connection.query(`DROP DATABASE \`${replaced}\``);
}

/** What a restore that was killed left behind: a half-loaded backup is dropped, a record that was replaced is dumped first. */
async function clearLeftovers(connection: Connection, databaseUrl: string, keepFile: string): Promise<void> {
	const database = new URL(databaseUrl).pathname.slice(1);
	const [rows] = await connection.query<RowDataPacket[]>('SELECT schema_name AS name FROM information_schema.schemata');
	const leftover = new RegExp(`^${database}_replaced_[0-9a-f]{8}$`);
	for (const name of rows.map((r) => String(r.name)).filter((n) => leftover.test(n))) {
		const file = keepFile.replace(/(\.sql)?(\.gz)?$/, (end) => `-${name.slice(-8)}${end}`);
		if ((await tablesOf(connection, name)).length > 0) await dump(at(databaseUrl, name), file);
		await connection.query(`DROP DATABASE \`${name}\``);
	}
	await connection.query(`DROP DATABASE IF EXISTS \`${stagingOf(database)}\``);
}

const makeDatabase = (connection: Connection, name: string, or = '') =>
	connection.query(`CREATE DATABASE ${or} \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);

const movesOf = async (connection: Connection, from: string, to: string): Promise<string[]> =>
	(await tablesOf(connection, from)).map((name) => `\`${from}\`.\`${name}\` TO \`${to}\`.\`${name}\``);

/** Every table of the file is there, with as many rows as the backup says it has. */
async function checkRows(connection: Connection, database: string, contents: BackupContents): Promise<void> {
	const here = await tablesOf(connection, database);
	const lost = contents.tables.find((name) => !here.includes(name));
	if (lost) throw new Error(`the backup did not load whole: the table ${lost} is missing`);
	for (const [name, expected] of Object.entries(contents.rows ?? {})) {
		const [[row]] = await connection.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM ??.??', [database, name]);
		if (Number(row?.n) !== expected) throw new Error(`this backup is not whole: ${name} has ${Number(row?.n)} of ${expected} rows`);
	}
}
