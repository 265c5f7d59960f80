import { createReadStream } from 'node:fs';
import { open, stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { foreignStatement, StatementReader } from './statements';

/** The last line of a backup: how many rows each table has. A file without it, or with other numbers, is not whole. */
export const MARK = '-- draught backup ';
/** The first line of one: such a file has the last line too, or is not whole. */
export const HEAD = '-- draught backup begins';

/** What a backup says of itself. Those of the first versions say only that the dump was completed; then `rows` is null. */
export type BackupContents = { tables: string[]; rows: Record<string, number> | null };

/** Told now and then of long work: what part of it is done, 0 to 1. */
export type Progress = (part: number) => void;

const GZIP = Buffer.from([0x1f, 0x8b]);

/** The text of a backup, compressed or not, and how far into the file the reading is. */
export async function backupText(file: string, progress: Progress = () => undefined): Promise<Readable> {
	const size = await stat(file).then(
		(s) => s.size,
		() => {
			throw new Error(`there is no file ${file}`);
		}
	);
	const handle = await open(file);
	const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0).finally(() => handle.close());
	const input = createReadStream(file);
	let read = 0;
	input.on('data', (chunk) => progress((read += chunk.length) / size));
	if (!buffer.equals(GZIP)) return input;
	const unpacked = createGunzip();
	input.on('error', (error) => unpacked.destroy(error));
	unpacked.on('close', () => input.destroy());
	return input.pipe(unpacked);
}

/**
 * Goes through a backup without loading it: every statement is one that a backup has, it is whole, and it is of Draught.
 * @throws in words, where it is none of these
 */
export async function readBackup(file: string, progress?: Progress): Promise<BackupContents> {
	const said = new Contents();
	const statements = new StatementReader();
	try {
		for await (const line of lines(await backupText(file, progress))) {
			if (line === '') continue;
			said.take(line);
			const statement = statements.take(line);
			const foreign = statement === null ? null : foreignStatement(statement);
			if (foreign !== null) throw new Error(`this file is no backup of Draught: it says “${foreign}”`);
		}
	} catch (error) {
		// A compressed file that was cut off ends in the middle of a block; one that was changed fails its sum.
		if (error instanceof Error && 'code' in error && String(error.code).startsWith('Z_')) throw new Error(CUT, { cause: error });
		throw error;
	}
	if (statements.rest.trim() !== '') throw new Error(CUT);
	return said.whole();
}

/** Lines of a text. An error of the stream ends the loop over them, which the line reader of Node does not promise. */
async function* lines(text: Readable): AsyncGenerator<string> {
	let open: string[] = [];
	for await (const part of text.setEncoding('utf8') as AsyncIterable<string>) {
		const [first = '', ...others] = part.split('\n');
		open.push(first);
		for (const next of others) {
			yield open.join('').replace(/\r$/, '');
			open = [next];
		}
	}
	if (open.length > 0) yield open.join('');
}

const CUT = 'this backup is not whole: its end is missing';

/** What the lines of a backup say of it, looked at one by one. */
class Contents {
	readonly #tables: string[] = [];
	#rows: Record<string, number> | null = null;
	#counts = false;
	#marks = 0;
	#complete = false;

	take(line: string): void {
		if (line === HEAD) this.#counts = true;
		const isMark = line.startsWith(`${MARK}{`);
		// Only the very end counts: what stands in the middle says nothing of what was cut off behind it.
		this.#rows = isMark ? rowsOf(line) : null;
		this.#marks += isMark ? 1 : 0;
		this.#complete = line.startsWith('-- Dump completed') || (this.#complete && this.#rows !== null);
		const [, table] = /^CREATE TABLE `([^`]+)`/.exec(line) ?? [];
		if (table !== undefined) this.#tables.push(table);
	}

	whole(): BackupContents {
		if (!this.#tables.includes('write_log') || !this.#tables.includes('server')) throw new Error('this file is no backup of Draught');
		const wanted = this.#counts ? 1 : 0;
		if (!this.#complete || this.#marks > 1 || (this.#rows === null ? 0 : 1) < Math.max(wanted, this.#marks)) throw new Error(CUT);
		return { tables: this.#tables, rows: this.#rows };
	}
}

function rowsOf(line: string): Record<string, number> | null {
	try {
		return JSON.parse(line.slice(MARK.length)) as Record<string, number>;
	} catch {
		return null;
	}
}
