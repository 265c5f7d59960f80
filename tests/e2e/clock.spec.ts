import { expect, test } from '@playwright/test';
import { eq } from 'drizzle-orm';
import { connect } from '../../src/lib/server/base/db/client';
import { reading, writeLog } from '../../src/lib/server/base/db/schema';
import { allKept, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const AHEAD_MS = 3_600_000;

test('a device an hour ahead captures with the server’s time, its own kept beside', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Wrong clock', [{}]);
	await page.addInitScript((ahead) => {
		const RealDate = Date;
		const origin = performance.timeOrigin;
		const ours = function (...given: unknown[]) {
			return Reflect.construct(RealDate, given.length === 0 ? [RealDate.now() + ahead] : given) as Date;
		};
		globalThis.Date = Object.assign(ours, {
			now: () => RealDate.now() + ahead,
			parse: RealDate.parse,
			UTC: RealDate.UTC,
			prototype: RealDate.prototype
		}) as unknown as DateConstructor;
		Object.defineProperty(performance, 'timeOrigin', { get: () => origin + ahead });
	}, AHEAD_MS);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.keyboard.type('1.75');
	await page.keyboard.press('Enter');
	await allKept(page);
	const { db, pool } = connect(server.databaseUrl);
	const [kept] = await db
		.select()
		.from(reading)
		.innerJoin(writeLog, eq(writeLog.id, reading.id))
		.where(eq(reading.spoolId, spoolIds[0] as string));
	await pool.end();
	if (!kept) throw new Error('nothing was kept');
	expect(Math.abs(kept.reading.takenAt - kept.write_log.at)).toBeLessThan(60_000);
	expect(Math.abs((kept.write_log.clockAheadMs ?? 0) - AHEAD_MS)).toBeLessThan(60_000);
});
