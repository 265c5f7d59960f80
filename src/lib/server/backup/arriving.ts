import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { MOST_BACKUP_SLICES } from '$lib/schemas/backup';
import { problem } from '../base/problem';

/** A backup that arrives from a browser, slice by slice, so that a lost connection costs one slice. Until all are there nobody reads it. */
const arrivingIn = (directory: string, id: string): string => join(directory, 'arriving', id);

/** Keeps one slice. The same again is kept already; another one in its place is refused. */
export async function putBackupSlice(directory: string, id: string, position: number, bytes: Buffer): Promise<{ position: number }> {
	if (position >= MOST_BACKUP_SLICES) throw problem(422, 'tooManySlices', { most: MOST_BACKUP_SLICES });
	const folder = arrivingIn(directory, id);
	await mkdir(folder, { recursive: true, mode: 0o700 });
	const file = join(folder, String(position));
	const before = await readFile(file).catch(() => null);
	if (before && !before.equals(bytes)) throw problem(409, 'sliceReused');
	if (!before) {
		await writeFile(`${file}.new`, bytes, { mode: 0o600 });
		await rename(`${file}.new`, file);
	}
	return { position };
}

/** Puts the slices together as one file. @returns where it is */
export async function assembleBackup(directory: string, id: string, slices: number): Promise<string> {
	const folder = arrivingIn(directory, id);
	const there = new Set(await readdir(folder).catch(() => []));
	const missing = Array.from({ length: slices }, (_, k) => k).find((k) => !there.has(String(k)));
	if (missing !== undefined) throw problem(409, 'sliceNotArrived', { slice: missing + 1, slices });
	const file = join(folder, 'backup');
	await rm(file, { force: true });
	for (let k = 0; k < slices; k++)
		await pipeline(createReadStream(join(folder, String(k))), createWriteStream(file, { flags: 'a', mode: 0o600 }));
	return file;
}

/** Takes away a file that arrived, and what arrived of others more than a day ago and was never used. */
export async function forgetArrived(directory: string, id: string, now: number): Promise<void> {
	await rm(arrivingIn(directory, id), { recursive: true, force: true });
	for (const name of await readdir(join(directory, 'arriving')).catch(() => [])) {
		const seen = await stat(arrivingIn(directory, name)).catch(() => null);
		if (seen && seen.mtimeMs < now - DAY_MS) await rm(arrivingIn(directory, name), { recursive: true, force: true });
	}
}

const DAY_MS = 86_400_000;
