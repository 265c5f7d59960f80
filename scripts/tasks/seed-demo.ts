import { connect } from '../../src/lib/server/base/db/client';
import { ensureDefaults } from '../../src/lib/server/base/db/defaults';
import { seedDemo } from '../../src/demo/seed';
import { runTask, taskConfig } from './task';

await runTask(async () => {
	const { db, pool } = connect(taskConfig().DATABASE_URL, { patient: true });
	try {
		await ensureDefaults(db, Date.now());
		console.log(
			(await seedDemo(db, Date.now()))
				? 'draught: the demo observatory is set up'
				: 'draught: the demo is as you left it (npm run reset-demo starts it anew)'
		);
	} finally {
		await pool.end();
	}
});
