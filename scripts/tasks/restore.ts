import { resolve } from 'node:path';
import { restore } from '../../src/lib/server/db/restore';
import { sayDangling } from '../../src/lib/server/db/dangling-rows';
import { backupFile } from '../../src/lib/server/db/backup-file';
import { runTask, taskConfig } from './task';

/** npm run restore -- FILE */
await runTask(async () => {
	const [, , file] = process.argv;
	if (!file) throw new Error('say which backup: npm run restore -- FILE');
	const config = taskConfig();
	const keep = backupFile(config, 'before-restore', Date.now());
	const dangling = await restore(config.DATABASE_URL, resolve(file), keep);
	console.log(`draught: restored from ${file}; what was there before is in ${keep}`);
	for (const line of sayDangling(dangling)) console.warn(`draught: ${line}`);
});
