import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';

const status = z.object({
	id: z.string(),
	state: z.enum(['running', 'done', 'failed']),
	step: z.enum(['reading', 'keeping', 'loading', 'checking', 'replacing']),
	/** What of the step is done, 0 to 1. */
	part: z.number(),
	/** The name of the file with what was there before; null where there was nothing. */
	kept: z.string().nullable(),
	/** Why it failed, in words; null while it has not. */
	said: z.string().nullable(),
	pid: z.number(),
	at: z.number()
});

/** How far the last restore is that was asked for from a page. It lies in a file, for the record it tells of is being replaced. */
export type RestoreStatus = z.infer<typeof status>;

const fileIn = (directory: string): string => join(directory, 'restore-status.json');

export async function writeRestoreStatus(directory: string, told: RestoreStatus): Promise<void> {
	await writeFile(`${fileIn(directory)}.new`, JSON.stringify(told), { mode: 0o600 });
	await rename(`${fileIn(directory)}.new`, fileIn(directory));
}

/** The last restore; one whose process is gone without an end has failed. */
export async function readRestoreStatus(directory: string): Promise<RestoreStatus | null> {
	const text = await readFile(fileIn(directory), 'utf8').catch(() => null);
	if (text === null) return null;
	const read = status.safeParse(JSON.parse(text));
	if (!read.success) return null;
	if (read.data.state === 'running' && !isAlive(read.data.pid)) return { ...read.data, state: 'failed', said: null };
	return read.data;
}

/** Whether a process is there. */
export function isAlive(pid: number): boolean {
	try {
		process.kill(pid, 0);
		return true;
	} catch {
		return false;
	}
}
