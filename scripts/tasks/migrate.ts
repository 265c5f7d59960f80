import { join } from 'node:path';
import { sayDangling } from '../../src/lib/server/base/db/dangling-rows';
import { dump } from '../../src/lib/server/backup/dump';
import { migrate } from '../../src/lib/server/base/db/migrate';
import { backupFile } from '../../src/lib/server/backup/backup-file';
import { runTask, taskConfig } from './task';

await runTask(async () => {
	const config = taskConfig();
	const { applied, total, dangling } = await migrate(config.DATABASE_URL, join(process.cwd(), 'drizzle'), async () => {
		const file = backupFile(config, 'before-migration', Date.now());
		await dump(config.DATABASE_URL, file);
		console.log(`draught: a dump from before the migration is in ${file}`);
	});
	console.log(`draught: schema up to date (${applied} of ${total} migrations applied now)`);
	for (const line of sayDangling(dangling)) console.warn(`draught: ${line}`);
});
