import { spawn } from 'node:child_process';
import { createWriteStream } from 'node:fs';
import { mkdir, open, readdir, rename, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { PassThrough, Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { clientArguments, finished } from './programs';
import { HEAD, MARK } from './read-backup';
import { isAlive } from './restore-status';

const OPTIONS = ['--single-transaction', '--hex-blob', '--skip-extended-insert', '--no-autocommit', '--default-character-set=utf8mb4'];

/** Counts the rows of each table as they go by, and says them at the end; ends with an error where the dump does not end as one does. */
class Counted extends Transform {
	readonly #rows = new Map<string, number>();
	#line = '';
	#last = '';
	readonly #ended: Promise<void>;

	/** @param ended when the program has ended whose output this is; its own failure is told, not that the output ended early */
	constructor(ended: Promise<void>) {
		super();
		this.#ended = ended;
		// Heard at the end; until then it is nobody's.
		ended.catch(() => undefined);
	}

	override _transform(chunk: Buffer, _: BufferEncoding, done: (error?: Error | null, data?: Buffer) => void): void {
		const text = chunk.toString('latin1');
		for (let from = 0; ;) {
			const end = text.indexOf('\n', from);
			if (end === -1) {
				// The beginning of a line tells what it is; a photograph need not be held for it.
				if (this.#line.length < 200) this.#line += text.slice(from, from + 200);
				break;
			}
			this.#see((this.#line + text.slice(from, Math.min(end, from + 200))).slice(0, 200));
			this.#line = '';
			from = end + 1;
		}
		done(null, chunk);
	}

	override _flush(done: (error?: Error | null, data?: string) => void): void {
		this.#see(this.#line);
		const whole = this.#last.startsWith('-- Dump completed');
		this.#ended.then(
			() =>
				whole
					? done(null, `${MARK}${JSON.stringify(Object.fromEntries(this.#rows))}\n`)
					: done(new Error('the backup failed: it ends too early')),
			done
		);
	}

	#see(line: string): void {
		if (line === '') return;
		this.#last = line;
		const [, kind, table = ''] = /^(CREATE TABLE|INSERT INTO) `([^`]+)`/.exec(line) ?? [];
		if (kind === 'CREATE TABLE') this.#rows.set(table, 0);
		else if (kind) this.#rows.set(table, (this.#rows.get(table) ?? 0) + 1);
	}
}

/**
 * A whole dump of a database as it is made, compressed: a row a line, with the number of rows of each table at its end. What comes out
 * ends with an error where the dump fails, so that a cut file is never taken for a whole one.
 */
export function dumpStream(databaseUrl: string, { compressed = true } = {}): Readable {
	const { args, env, database } = clientArguments(databaseUrl);
	const child = spawn('mariadb-dump', [...args, ...OPTIONS, database], { env, stdio: ['ignore', 'pipe', 'pipe'] });
	const counted = new Counted(finished(child, 'the backup'));
	counted.push(`${HEAD}\n`);
	const out = new PassThrough();
	// What fails on the way ends what comes out with the same error; the program is not left running for nobody.
	pipeline([child.stdout, counted, ...(compressed ? [createGzip({ level: 6 })] : []), out]).catch(() => child.kill());
	return out;
}

/** Writes a whole dump of a database; compressed where the file's name says so (.gz). It appears under its name only when it is complete. */
export async function dump(databaseUrl: string, file: string): Promise<void> {
	await mkdir(dirname(file), { recursive: true, mode: 0o700 });
	await clearParts(dirname(file));
	const part = `${file}.${process.pid}.part`;
	try {
		await pipeline(dumpStream(databaseUrl, { compressed: file.endsWith('.gz') }), createWriteStream(part, { mode: 0o600 }));
		const handle = await open(part, 'r+');
		await handle.sync().finally(() => handle.close());
		await rename(part, file);
	} finally {
		await rm(part, { force: true });
	}
}

/** Takes away what dumps that were killed left half-written. */
export async function clearParts(directory: string): Promise<void> {
	for (const name of await readdir(directory).catch(() => [])) {
		const [, pid] = /\.(\d+)\.part$/.exec(basename(name)) ?? [];
		if (name.endsWith('.part') && (pid === undefined || !isAlive(Number(pid)))) await rm(join(directory, name), { force: true });
	}
}
