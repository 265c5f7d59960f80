import { connect } from '../../src/lib/server/base/db/client';
import { keepAllListings } from '../../src/lib/server/answers/spools/recall';
import { keepAllStandings } from '../../src/lib/server/answers/trials/standing';
import { runTask, taskConfig } from './task';

// What lists show of every spool and of the trials at work, worked out beside the server where it is not kept yet, so that no page has to.
await runTask(async () => {
	const { db, pool } = connect(taskConfig().DATABASE_URL, { patient: true });
	try {
		await keepAllListings(db);
		await keepAllStandings(db);
	} finally {
		await pool.end();
	}
});
