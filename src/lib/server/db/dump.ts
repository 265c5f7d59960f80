import { spawn } from 'node:child_process';
import { createReadStream } from 'node:fs';
import { mkdir, open, rename } from 'node:fs/promises';
import { dirname } from 'node:path';

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

async function finished(child: ReturnType<typeof spawn>, what: string): Promise<void> {
	let said = '';
	child.stderr?.on('data', (chunk: Buffer) => (said += chunk.toString()));
	const code = await new Promise<number | null>((resolve, reject) => {
		child.once('error', reject);
		child.once('close', resolve);
	});
	if (code !== 0) throw new Error(`${what} failed: ${said.trim() || `exit ${code}`}`);
}

/** Writes a whole dump of a database. The file appears under its name only when it is complete. */
export async function dump(databaseUrl: string, file: string): Promise<void> {
	const { args, env, database } = clientArguments(databaseUrl);
	await mkdir(dirname(file), { recursive: true, mode: 0o700 });
	const part = `${file}.part`;
	const handle = await open(part, 'w', 0o600);
	try {
		const child = spawn('mariadb-dump', [...args, '--single-transaction', '--hex-blob', '--default-character-set=utf8mb4', database], {
			env,
			stdio: ['ignore', handle.fd, 'pipe']
		});
		await finished(child, 'the backup');
		await handle.sync();
	} finally {
		await handle.close();
	}
	await rename(part, file);
}

/** Loads a dump into a database, which must be empty. */
export async function load(databaseUrl: string, file: string): Promise<void> {
	const { args, env, database } = clientArguments(databaseUrl);
	const child = spawn('mariadb', [...args, '--default-character-set=utf8mb4', database], { env, stdio: ['pipe', 'ignore', 'pipe'] });
	const input = createReadStream(file);
	// A client that ends early closes its input; its exit code tells, not this.
	child.stdin.on('error', () => input.destroy());
	input.pipe(child.stdin);
	const reading = new Promise<never>((_, reject) => input.once('error', reject));
	await Promise.race([finished(child, 'the restore'), reading]);
}
