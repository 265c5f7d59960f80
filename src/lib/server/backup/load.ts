import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createConnection, type Connection } from 'mysql2/promise';
import { clientArguments, finished } from './programs';
import { backupText, type Progress } from './read-backup';

/** Loads a dump into a database, which must be empty. What a file says to the client itself (shell, other files, another database) is not done. */
export async function load(databaseUrl: string, file: string, progress?: Progress): Promise<void> {
	const { args, env, database } = clientArguments(databaseUrl);
	const child = spawn('mariadb', [...args, '--sandbox', '--binary-mode', '--default-character-set=utf8mb4', database], {
		env,
		stdio: ['pipe', 'ignore', 'pipe']
	});
	const input = await backupText(file, progress);
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

/** The account that scripts/mariadb.sh makes for this on the private server: it may write databases that are being restored, and no other. */
const LOADER = 'draught_load';

/**
 * Lends an account that can write one database and no other, with the address it is reached at; the account of the record itself where
 * there is none to be had, since then only what was read of the file beforehand stands between it and the record.
 */
export async function withLoader<T>(connection: Connection, databaseUrl: string, work: (url: string) => Promise<T>): Promise<T> {
	const kept = Object.assign(new URL(databaseUrl), { username: LOADER }).href;
	if (await answers(kept)) return await work(kept);
	const name = `draught_load_${randomBytes(6).toString('hex')}`;
	const word = randomBytes(18).toString('base64url');
	const database = new URL(databaseUrl).pathname.slice(1);
	const account = `'${name}'@'%'`;
	try {
		await connection.query(`CREATE USER ${account} IDENTIFIED BY '${word}'`);
	} catch {
		return await work(databaseUrl);
	}
	try {
		// In a grant an underscore stands for any character.
		await connection.query(`GRANT ALL ON \`${database.replaceAll('_', '\\_')}\`.* TO ${account}`);
		return await work(Object.assign(new URL(databaseUrl), { username: name, password: word }).href);
	} catch (error) {
		if (error instanceof Error && 'errno' in error && error.errno === MAY_NOT_GRANT) return await work(databaseUrl);
		throw error;
	} finally {
		await connection.query(`DROP USER IF EXISTS ${account}`);
	}
}

/** Access denied to a database for this user. */
const MAY_NOT_GRANT = 1044;

async function answers(url: string): Promise<boolean> {
	try {
		await (await createConnection({ uri: url })).end();
		return true;
	} catch {
		return false;
	}
}
