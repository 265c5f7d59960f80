import type { ChildProcess } from 'node:child_process';

/** How the client programs of MariaDB reach the database of a URL; the word goes by environment, never by command line. */
export function clientArguments(databaseUrl: string): { args: string[]; env: NodeJS.ProcessEnv; database: string } {
	const url = new URL(databaseUrl);
	return {
		args: [
			'--no-defaults',
			'--protocol=tcp',
			`--host=${url.hostname}`,
			`--port=${url.port || '3306'}`,
			`--user=${decodeURIComponent(url.username)}`,
			// A photograph of 16 MB is a line of 33.
			'--max-allowed-packet=256M'
		],
		env: { PATH: process.env.PATH, MYSQL_PWD: decodeURIComponent(url.password) },
		database: url.pathname.slice(1)
	};
}

/** As much of what a program says of its failure as helps; a failed statement is quoted whole otherwise, blobs and all. */
const MOST_SAID = 300;

/** Waits for a program to end. @throws what it said, on one line, where it failed */
export async function finished(child: ChildProcess, what: string): Promise<void> {
	let said = '';
	// The error stands behind the statement it quotes.
	child.stderr?.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-20_000)));
	const ended = await new Promise<string | number>((resolve, reject) => {
		child.once('error', reject);
		// One that was killed, as by a machine without memory, has a signal and no code.
		child.once('close', (code, signal) => resolve(code ?? signal ?? 'nothing'));
	});
	if (ended === 0) return;
	const lines = said.split('\n').filter((line) => line.trim() !== '');
	const told = lines.find((line) => line.startsWith('ERROR')) ?? lines[0] ?? `it ended with ${ended}`;
	throw new Error(`${what} failed: ${told.slice(0, MOST_SAID)}`);
}
