import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { z } from 'zod';
import type { restoreBody } from '$lib/schemas/backup';
import { runTaskBeside } from '../base/background';
import type { Config } from '../base/config';
import { problem, refuseField } from '../base/problem';
import { assembleBackup, forgetArrived } from './arriving';
import { backupDirectory } from './backup-file';
import { keptBackups } from './kept';
import { readRestoreStatus, writeRestoreStatus, type RestoreStatus } from './restore-status';

/**
 * Begins a restore that was asked for from a page, in a process of its own: this one goes on answering. The same id again finds what
 * became of it.
 */
export async function beginRestore(
	config: Config,
	body: z.output<typeof restoreBody>,
	env: NodeJS.ProcessEnv,
	now: number
): Promise<{ answer: RestoreStatus; repeated: boolean }> {
	const directory = backupDirectory(config);
	const last = await readRestoreStatus(directory);
	if (last?.id === body.id) return { answer: last, repeated: true };
	if (last?.state === 'running') throw problem(409, 'restoreGoingOn');
	const file =
		body.kept === undefined
			? await assembleBackup(directory, body.id, body.slices ?? 0)
			: join(directory, await known(directory, body.kept));
	const child = runTaskBeside('restore', [file, '--told-to', directory, body.id], {
		...env,
		DATABASE_URL: config.DATABASE_URL,
		DRAUGHT_BACKUP_DIR: directory,
		DRAUGHT_INSTANCE: config.DRAUGHT_INSTANCE
	});
	const answer: RestoreStatus = {
		id: body.id,
		state: 'running',
		step: 'reading',
		part: 0,
		kept: null,
		said: null,
		pid: child.pid ?? 0,
		at: now
	};
	await mkdir(directory, { recursive: true, mode: 0o700 });
	await writeRestoreStatus(directory, answer);
	child.once('error', (cause) => console.error(`draught: the restore could not be started: ${cause.message}`));
	child.once('exit', () => void forgetArrived(directory, body.id, now));
	return { answer, repeated: false };
}

async function known(directory: string, name: string): Promise<string> {
	if (!(await keptBackups(directory)).some((b) => b.name === name)) throw refuseField('kept', 'noSuchBackup');
	return name;
}
