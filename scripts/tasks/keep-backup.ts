import { max } from 'drizzle-orm';
import { join } from 'node:path';
import { backupDirectory, backupName } from '../../src/lib/server/backup/backup-file';
import { clearParts, dump } from '../../src/lib/server/backup/dump';
import { keptBackups, prune } from '../../src/lib/server/backup/kept';
import { connect } from '../../src/lib/server/base/db/client';
import { writeLog } from '../../src/lib/server/base/db/schema';
import { runTask, taskConfig } from './task';

const DAY_MS = 86_400_000;

// Draught's own backup: one a day, where something was saved since the last one; older ones thin out.
await runTask(async () => {
	const config = taskConfig();
	const now = Date.now();
	const directory = backupDirectory(config);
	await clearParts(directory);
	const [last] = (await keptBackups(directory)).filter((b) => b.kind === 'daily');
	if (last && now - last.at < DAY_MS) return;
	const { db, pool } = connect(config.DATABASE_URL, { patient: true });
	const [newest] = await db.select({ at: max(writeLog.at) }).from(writeLog);
	await pool.end();
	if (Number(newest?.at ?? 0) <= (last?.at ?? 0)) return;
	await dump(config.DATABASE_URL, join(directory, backupName(config, 'daily', now)));
	await prune(directory);
});
