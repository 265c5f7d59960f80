import { resolve } from 'node:path';
import { dump } from '../../src/lib/server/backup/dump';
import { backupFile } from '../../src/lib/server/backup/backup-file';
import { runTask, taskConfig } from './task';

/** npm run backup [-- FILE] */
await runTask(async () => {
	const config = taskConfig();
	const file = process.argv[2] ? resolve(process.argv[2]) : backupFile(config, 'backup', Date.now());
	await dump(config.DATABASE_URL, file);
	console.log(`draught: backup written to ${file}`);
});
