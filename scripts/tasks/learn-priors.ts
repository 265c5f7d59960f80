import { max } from 'drizzle-orm';
import { connect } from '../../src/lib/server/base/db/client';
import { writeLog } from '../../src/lib/server/base/db/schema';
import { adoptPriors } from '../../src/lib/server/answers/priors/adopt';
import { learnPriors } from '../../src/lib/server/answers/priors/learn';
import { runTask, taskConfig } from './task';

/** Somebody wrote a moment ago: numbers must not move under their hands. */
const QUIET_MS = 3 * 60_000;

// Learns what the record teaches of scatter and spread, and lets open trials adopt it: learn-priors.ts [--now]
await runTask(async () => {
	const { db, pool } = connect(taskConfig().DATABASE_URL, { patient: true });
	try {
		const now = Date.now();
		const [last] = await db.select({ at: max(writeLog.at) }).from(writeLog);
		if (!process.argv.includes('--now') && now - Number(last?.at ?? 0) < QUIET_MS) return;
		const learnt = await learnPriors(db, now);
		const { adopted, changed } = await adoptPriors(db, now);
		if (learnt !== null || adopted > 0)
			console.log(
				`draught: ${learnt === null ? 'nothing new' : 'a new set of priors'} learnt from the record; ${adopted} open trials adopted it, ${changed} with another spool first now`
			);
	} finally {
		await pool.end();
	}
});
