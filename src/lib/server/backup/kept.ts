import { mkdir, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readBackupName, type BackupKind } from './backup-file';
import { keptOf } from './retention';

/** A backup in the backup directory. */
export type KeptBackup = { name: string; kind: BackupKind; at: number; bytes: number };

/** The backups of a directory, newest first. */
export async function keptBackups(directory: string): Promise<KeptBackup[]> {
	const found: KeptBackup[] = [];
	for (const name of await readdir(directory).catch(() => [])) {
		const read = readBackupName(name);
		const size = read && (await stat(join(directory, name)).catch(() => null));
		if (read && size) found.push({ name, ...read, bytes: size.size });
	}
	return found.sort((a, b) => b.at - a.at);
}

/** Takes away the daily ones that are kept no longer; what was made for another reason is nobody's to take away but the tester's. */
export async function prune(directory: string): Promise<string[]> {
	const daily = (await keptBackups(directory)).filter((b) => b.kind === 'daily');
	const kept = new Set(keptOf(daily.map((b) => b.at)));
	const gone = daily.filter((b) => !kept.has(b.at)).map((b) => b.name);
	for (const name of gone) await rm(join(directory, name));
	return gone;
}

const DOWNLOADED = 'last-download.txt';

/** Remembers that a backup was handed out whole: where it went nobody knows here. */
export async function noteDownload(directory: string, at: number): Promise<void> {
	await mkdir(directory, { recursive: true, mode: 0o700 });
	await writeFile(join(directory, DOWNLOADED), `${new Date(at).toISOString()}\n`, { mode: 0o600 });
}

/** When a backup was last handed out; null where it never was. */
export async function lastDownload(directory: string): Promise<number | null> {
	const at = Date.parse((await readFile(join(directory, DOWNLOADED), 'utf8').catch(() => '')).trim());
	return Number.isNaN(at) ? null : at;
}
