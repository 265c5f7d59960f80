import { spawn, type ChildProcess } from 'node:child_process';
import { createReadStream } from 'node:fs';
import { appendFile, mkdir, open, rename, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { createInterface } from 'node:readline';

/** How the client programs of MariaDB reach the database of a URL; the word goes by environment, never by command line. */
function clientArguments(databaseUrl: string): { args: string[]; env: NodeJS.ProcessEnv; database: string } {
	const url = new URL(databaseUrl);
	return {
		args: [
			'--no-defaults',
			'--protocol=tcp',
			`--host=${url.hostname}`,
			`--port=${url.port || '3306'}`,
			`--user=${decodeURIComponent(url.username)}`
		],
		env: { ...process.env, MYSQL_PWD: decodeURIComponent(url.password) },
		database: url.pathname.slice(1)
	};
}

/** As much of what a program says of its failure as helps; a failed statement is quoted whole otherwise, blobs and all. */
const MOST_SAID = 300;

async function finished(child: ChildProcess, what: string): Promise<void> {
	let said = '';
	// The error stands behind the statement it quotes.
	child.stderr?.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-20_000)));
	const code = await new Promise<number | null>((resolve, reject) => {
		child.once('error', reject);
		child.once('close', resolve);
	});
	if (code === 0) return;
	const lines = said.split('\n').filter((line) => line.trim() !== '');
	const told = lines.find((line) => line.startsWith('ERROR')) ?? lines[0] ?? `exit ${code}`;
	throw new Error(`${what} failed: ${told.slice(0, MOST_SAID)}`);
}

/** The last line of a backup: how many rows each table has. A file without it, or with other numbers, is not whole. */
const MARK = '-- draught backup ';

/** What a backup says of itself. Older ones say only that the dump was completed; then `rows` is null. */
export type BackupContents = { tables: string[]; rows: Record<string, number> | null; complete: boolean };

/** Goes through a backup without loading it. */
export async function readBackup(file: string): Promise<BackupContents & { counted: Record<string, number> }> {
	await stat(file).catch(() => {
		throw new Error(`there is no file ${file}; nothing was changed`);
	});
	const tables: string[] = [];
	const counted: Record<string, number> = {};
	let [rows, complete]: [Record<string, number> | null, boolean] = [null, false];
	for await (const line of createInterface({ input: createReadStream(file), crlfDelay: Infinity })) {
		if (line === '') continue;
		// Only the very end counts: a comment in the middle says nothing of what was cut off behind it.
		rows = line.startsWith(MARK) ? rowsOf(line) : null;
		complete = line.startsWith('-- Dump completed') || (complete && rows !== null);
		const table = /^(CREATE TABLE|INSERT INTO) `([^`]+)`/.exec(line);
		if (table?.[1] === 'CREATE TABLE') tables.push(table[2] as string);
		else if (table) counted[table[2] as string] = (counted[table[2] as string] ?? 0) + 1;
	}
	return { tables, rows, complete, counted };
}

function rowsOf(line: string): Record<string, number> | null {
	try {
		return JSON.parse(line.slice(MARK.length)) as Record<string, number>;
	} catch {
		return null;
	}
}

/** Writes a whole dump of a database, a row a line, with the number of rows of each table at its end. The file appears under its name only when it is complete. */
export async function dump(databaseUrl: string, file: string): Promise<void> {
	const { args, env, database } = clientArguments(databaseUrl);
	await mkdir(dirname(file), { recursive: true, mode: 0o700 });
	const part = `${file}.part`;
	const handle = await open(part, 'w', 0o600);
	const options = ['--single-transaction', '--hex-blob', '--skip-extended-insert', '--no-autocommit', '--default-character-set=utf8mb4'];
	try {
		const child = spawn('mariadb-dump', [...args, ...options, database], { env, stdio: ['ignore', handle.fd, 'pipe'] });
		await finished(child, 'the backup');
		const { tables, counted, complete } = await readBackup(part);
		if (!complete) throw new Error('the backup failed: it ends too early');
		await appendFile(part, `${MARK}${JSON.stringify(Object.fromEntries(tables.map((t) => [t, counted[t] ?? 0])))}\n`);
		await handle.sync();
	} finally {
		await handle.close();
	}
	await rename(part, file);
}

/** Loads a dump into a database, which must be empty. What a file says to the client itself (shell, other files) is not done. */
export async function load(databaseUrl: string, file: string): Promise<void> {
	const { args, env, database } = clientArguments(databaseUrl);
	const child = spawn('mariadb', [...args, '--sandbox', '--default-character-set=utf8mb4', database], {
		env,
		stdio: ['pipe', 'ignore', 'pipe']
	});
	const input = createReadStream(file);
	// A client that ends early closes its input; its exit code tells, not this.
	child.stdin.on('error', () => input.destroy());
	input.pipe(child.stdin);
	const reading = new Promise<never>((_, reject) => input.once('error', reject));
	try {
		await Promise.race([finished(child, 'the restore'), reading]);
	} finally {
		child.kill();
	}
}
