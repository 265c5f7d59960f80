import { createConnection } from 'mysql2/promise';
import { connect } from '../../src/lib/server/base/db/client';
import { ensureDefaults } from '../../src/lib/server/base/db/defaults';
import { dump } from '../../src/lib/server/backup/dump';
import { migrate } from '../../src/lib/server/base/db/migrate';
import { seedDemo } from '../../src/demo/seed';
import { backupFile } from '../../src/lib/server/backup/backup-file';
import { runTask, taskConfig } from './task';

/** npm run reset-demo: keeps a dump of the demo as it was, then makes it anew. Refuses any instance but the demo. */
await runTask(async () => {
	const config = taskConfig();
	if (config.DRAUGHT_INSTANCE !== 'demo') throw new Error('only the demo can be reset; this is another instance');
	const name = new URL(config.DATABASE_URL).pathname.slice(1);
	await migrate(config.DATABASE_URL);
	const kept = backupFile(config, 'before-reset', Date.now());
	await dump(config.DATABASE_URL, kept);
	const admin = await createConnection(config.DATABASE_URL);
	await admin.query(`DROP DATABASE \`${name}\``);
	await admin.end();
	await migrate(config.DATABASE_URL);
	const { db, pool } = connect(config.DATABASE_URL, { patient: true });
	await ensureDefaults(db, Date.now());
	await seedDemo(db, Date.now());
	await pool.end();
	console.log(`draught: the demo is new; what it was is in ${kept}`);
});
