import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backupName } from '../../src/lib/server/backup/backup-file';
import { dump } from '../../src/lib/server/backup/dump';
import { keptBackups } from '../../src/lib/server/backup/kept';
import { maker, writeLog } from '../../src/lib/server/base/db/schema';
import { testDatabase, type TestDatabase } from '../support/database';
import { Instance, script } from '../support/instance';

let record: TestDatabase;
let directory: string;
beforeEach(async () => {
	record = await testDatabase();
	directory = mkdtempSync(join(tmpdir(), 'draught-backup-'));
});
afterEach(async () => {
	rmSync(directory, { recursive: true });
	await record.close();
});

describe('a backup', () => {
	it('comes back by its one command on a machine that has nothing', async () => {
		await record.db.insert(maker).values({ id: v7(), name: 'Northern Lights', createdAt: 5 });
		const file = join(directory, 'backup.sql.gz');
		await dump(record.url, file);
		const one = await Instance.make();
		try {
			const restored = one.run('npm', ['run', 'restore', '--', file]);
			expect(await restored.ended, restored.said()).toBe(0);
			expect(restored.said()).toContain('there was no record before');
			expect(readdirSync(join(one.dir, 'own/mariadb')).filter((name) => /draught_/.test(name))).toEqual([]);
			await one.start();
			expect(await (await fetch(`${one.url}/api/v1/csv/makers`)).text()).toContain('Northern Lights');
		} finally {
			await one.remove();
		}
	});

	const day = 86_400_000;
	/** The task that the server runs now and then. */
	const keep = () =>
		script('with-database.sh', ['keep-backup'], { DATABASE_URL: record.url, DRAUGHT_BACKUP_DIR: directory, DRAUGHT_INSTANCE: 'own' });
	const write = (at: number) => record.db.insert(writeLog).values({ id: v7(), kind: 'test', bodyHash: Buffer.alloc(32), answer: {}, at });
	const kinds = async () => (await keptBackups(directory)).map((b) => b.kind);

	it('is made once a day where something was saved, and the old ones thin out', async () => {
		keep();
		// Nothing was ever written: there is nothing to keep.
		expect(await kinds()).toEqual([]);
		const now = Date.now();
		await write(now - 2 * day);
		keep();
		keep();
		expect(await kinds()).toEqual(['daily']);
		for (const { name } of await keptBackups(directory)) rmSync(join(directory, name));

		// Twenty days ago up to the day before yesterday, one a day; and what was made by hand.
		for (let back = 20; back >= 2; back--)
			writeFileSync(join(directory, backupName({ DRAUGHT_INSTANCE: 'own' }, 'daily', now - back * day)), 'x');
		writeFileSync(join(directory, backupName({ DRAUGHT_INSTANCE: 'own' }, 'before-restore', now - 400 * day)), 'x');
		keep();
		// Nothing was saved since the newest.
		expect((await kinds()).filter((kind) => kind === 'daily')).toHaveLength(19);
		await write(now);
		keep();
		const left = await keptBackups(directory);
		expect(left.map((b) => b.kind).filter((kind) => kind !== 'daily')).toEqual(['before-restore']);
		// Seven days; the weeks and months before them, of which there are three to five in twenty days.
		const daily = left.filter((b) => b.kind === 'daily').map((b) => b.at);
		expect(daily.slice(0, 7).map((at) => Math.abs(Math.round((now - at) / day)))).toEqual([0, 2, 3, 4, 5, 6, 7]);
		expect(daily.length).toBeGreaterThanOrEqual(8);
		expect(daily.length).toBeLessThanOrEqual(10);
	});
});
