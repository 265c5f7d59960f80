import { resolve } from 'node:path';
import { backupFile } from '../../src/lib/server/backup/backup-file';
import { restore, type RestoreStep } from '../../src/lib/server/backup/restore';
import { sayDangling } from '../../src/lib/server/db/dangling-rows';
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

/** npm run restore -- FILE */
await runTask(async () => {
	const [, , file] = process.argv;
	if (!file) throw new Error('say which backup: npm run restore -- FILE');
	const config = taskConfig();
	const { kept, dangling } = await restore(config.DATABASE_URL, resolve(file), backupFile(config, 'before-restore', Date.now()), saying());
	console.log(`draught: restored from ${file}; ${kept === null ? 'there was no record before' : `what was there before is in ${kept}`}`);
	for (const line of sayDangling(dangling)) console.warn(`draught: ${line}`);
});
