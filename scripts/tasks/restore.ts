import { basename, resolve } from 'node:path';
import { backupFile } from '../../src/lib/server/backup/backup-file';
import { restore, type RestoreProgress, type RestoreStep } from '../../src/lib/server/backup/restore';
import { writeRestoreStatus, type RestoreStatus } from '../../src/lib/server/backup/restore-status';
import { sayDangling } from '../../src/lib/server/base/db/dangling-rows';
import { runTask, taskConfig } from './task';

const STEPS: Record<RestoreStep, string> = {
	reading: 'reading the backup',
	keeping: 'keeping what is there now',
	loading: 'loading the backup beside it',
	checking: 'checking what was loaded',
	replacing: 'putting it in place'
};

/** Says each step once, and of a long one every tenth of it. */
function saying(): (step: RestoreStep, part: number) => void {
	let last = '';
	return (step, part) => {
		const line = `${STEPS[step]}${part > 0 ? `, ${Math.floor(part * 10) * 10} %` : ''}`;
		if (line !== last) console.log(`draught: ${line}`);
		last = line;
	};
}

/** Tells the page that asked for it, through a file; at most a few times a second. */
function toldTo(directory: string, id: string) {
	let status: RestoreStatus = { id, state: 'running', step: 'reading', part: 0, kept: null, said: null, pid: process.pid, at: Date.now() };
	let last = 0;
	let written = Promise.resolve();
	const tell = (changed: Partial<RestoreStatus>): Promise<void> => {
		status = { ...status, ...changed };
		const now = status;
		written = written.then(() => writeRestoreStatus(directory, now));
		return written;
	};
	const progress: RestoreProgress = (step, part) => {
		if (step === status.step && Date.now() - last < 300) return;
		last = Date.now();
		void tell({ step, part });
	};
	return { tell, progress };
}

/** npm run restore -- FILE; from a page: restore.ts FILE --told-to DIRECTORY ID */
await runTask(async () => {
	const [, , file, flag, directory = '', id = ''] = process.argv;
	if (!file) throw new Error('say which backup: npm run restore -- FILE');
	const config = taskConfig();
	const page = flag === '--told-to' ? toldTo(directory, id) : null;
	const say = saying();
	const keep = backupFile(config, 'before-restore', Date.now());
	try {
		const { kept, dangling } = await restore(config.DATABASE_URL, resolve(file), keep, (step, part) => {
			say(step, part);
			page?.progress(step, part);
		});
		await page?.tell({ state: 'done', kept: kept === null ? null : basename(kept) });
		console.log(`draught: restored from ${file}; ${kept === null ? 'there was no record before' : `what was there before is in ${kept}`}`);
		for (const line of sayDangling(dangling)) console.warn(`draught: ${line}`);
	} catch (error) {
		await page?.tell({ state: 'failed', said: error instanceof Error ? error.message : String(error) });
		throw error;
	}
});
