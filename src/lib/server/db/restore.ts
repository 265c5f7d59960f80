import { randomBytes } from 'node:crypto';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { parse, v7 } from 'uuid';
import { danglingRows, type DanglingRows } from './dangling-rows';
import { dump, load, readBackup } from './dump';
import { migrate } from './migrate';

/**
 * Replaces a database by a backup: the file is looked through first, loaded beside the present one, counted, brought up to date, and only
 * then the two change places in one statement. What was there is dumped to `keepFile` afterwards, so that nothing is lost that was
 * written meanwhile. A backup that is not whole or does not load leaves everything as it was. A running server may go on: the record
 * gets a new epoch, by which it tells what it had worked out before.
 * @returns rows of the backup that point nowhere; they come along as they are
 */
export async function restore(databaseUrl: string, file: string, keepFile: string): Promise<DanglingRows[]> {
	const contents = await readBackup(file);
	if (!contents.tables.includes('write_log') || !contents.tables.includes('server'))
		throw new Error('this file is no backup of Draught; nothing was changed');
	if (!contents.complete) throw new Error('this backup is not whole: its end is missing; nothing was changed');
	const database = new URL(databaseUrl).pathname.slice(1);
	const at = (name: string) => Object.assign(new URL(databaseUrl), { pathname: `/${name}` }).href;
	const [staging, replaced] = [`${database}_restoring`, `${database}_replaced_${randomBytes(4).toString('hex')}`];
	const connection = await createConnection({ uri: at(''), charset: 'utf8mb4' });
	try {
		await connection.query(`DROP DATABASE IF EXISTS \`${staging}\``);
		await makeDatabase(connection, staging);
		await load(at(staging), file);
		await checkRows(connection, staging, contents);
		await migrate(at(staging));
		const dangling = await danglingRows(connection, staging);
		await connection.query(`UPDATE \`${staging}\`.server SET epoch = ?`, [Buffer.from(parse(v7()))]);
		await makeDatabase(connection, replaced);
		const moves = [...(await movesOf(connection, database, replaced)), ...(await movesOf(connection, staging, database))];
		await connection.query(`RENAME TABLE ${moves.join(', ')}`);
		await dump(at(replaced), keepFile);
		await connection.query(`DROP DATABASE \`${replaced}\``);
		await connection.query(`DROP DATABASE \`${staging}\``);
		return dangling;
	} finally {
		await connection.end();
	}
}

const makeDatabase = (connection: Connection, name: string) =>
	connection.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);

async function tablesOf(connection: Connection, database: string): Promise<string[]> {
	const [rows] = await connection.query<RowDataPacket[]>(
		'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ?',
		[database]
	);
	return rows.map((row) => String(row.name));
}

const movesOf = async (connection: Connection, from: string, to: string): Promise<string[]> =>
	(await tablesOf(connection, from)).map((name) => `\`${from}\`.\`${name}\` TO \`${to}\`.\`${name}\``);

/** Every table of the file is there, with as many rows as the backup says it has. */
async function checkRows(connection: Connection, database: string, contents: { tables: string[]; rows: Record<string, number> | null }) {
	const here = await tablesOf(connection, database);
	const lost = contents.tables.find((name) => !here.includes(name));
	if (lost) throw new Error(`the backup did not load whole: the table ${lost} is missing; nothing was changed`);
	for (const [name, expected] of Object.entries(contents.rows ?? {})) {
		const [[row]] = await connection.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${database}\`.\`${name.replaceAll('`', '')}\``);
		if (Number(row?.n) !== expected)
			throw new Error(`this backup is not whole: ${name} has ${Number(row?.n)} of ${expected} rows; nothing was changed`);
	}
}
