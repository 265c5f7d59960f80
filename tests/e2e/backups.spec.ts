import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { expect, test } from '@playwright/test';
import { createConnection } from 'mysql2/promise';
import { fingerprint } from '../../src/lib/server/backup/fingerprint';
import { makeTrial, open } from './bench';
import { TestServer } from './server';

let full: TestServer;
let empty: TestServer;
test.beforeAll(async () => {
	full = await TestServer.start({ demo: true });
	empty = await TestServer.start();
});
test.afterAll(async () => {
	await full.stop();
	await empty.stop();
});

/** Every table with the sum of its contents; what a restore makes anew (its epoch) or keeps (the logins) is not the record. */
async function recordOf(server: TestServer): Promise<Record<string, string>> {
	const connection = await createConnection(server.databaseUrl);
	const found = await fingerprint(connection, new URL(server.databaseUrl).pathname.slice(1));
	await connection.end();
	return Object.fromEntries([...found].filter(([name]) => name !== 'server').map(([name, { sum, rows }]) => [name, `${rows} ${sum}`]));
}

test('a record with photographs goes out from the page and comes back on an empty one, every table and picture of it', async ({
	page
}, info) => {
	await open(page, `${full.url}/backups`);
	await expect(page.getByText('There is no backup here yet. None was taken away yet.')).toBeVisible();
	const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Back up now' }).click()]);
	expect(download.suggestedFilename()).toMatch(/^draught-test-backup-[\dTZ-]+\.sql\.gz$/);
	const file = info.outputPath('backup.sql.gz');
	await download.saveAs(file);
	const before = await recordOf(full);
	expect(before.photo).toMatch(/^[1-9]/);
	await page.reload();
	await expect(page.getByText('You last took one away on')).toBeVisible();

	await makeTrial(empty.url, 'Was here before', [{}]);
	await open(page, `${empty.url}/backups`);
	await page.getByLabel('A backup file').setInputFiles(file);
	await page.getByRole('button', { name: 'Restore it' }).click();
	await expect(page.getByText('Restored.')).toBeVisible({ timeout: 120_000 });
	await expect(page.getByText('The last backup here is of')).toBeVisible();
	await expect(page.getByText('before a restore')).toBeVisible();
	expect(await recordOf(empty)).toEqual(before);
	const health = async (server: TestServer) => ((await (await fetch(`${server.url}/healthz`)).json()) as { serverId: string }).serverId;
	// Readings that wait in a browser go to the record they were taken for.
	expect(await health(empty)).toBe(await health(full));
	await page.getByRole('link', { name: 'Open the trials' }).click();
	await expect(page.getByText('Was here before')).toHaveCount(0);

	// What was there is kept, and one press brings it back.
	await open(page, `${empty.url}/backups`);
	await expect(page.getByText('before a restore')).toBeVisible();
	await page.getByRole('button', { name: /Restore the backup of/ }).click();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await page.getByRole('button', { name: /Restore the backup of/ }).click();
	await page.getByRole('button', { name: 'Restore it' }).click();
	await expect(page.getByText('Restored.')).toBeVisible({ timeout: 120_000 });
	await open(page, `${empty.url}/trials`);
	await expect(page.getByText('Was here before')).toBeVisible();
});

test('a file that is no whole backup is refused in words, and the record stays', async ({ page }, info) => {
	const before = await recordOf(full);
	const backup = Buffer.from(await (await fetch(`${full.url}/api/v1/backup`)).arrayBuffer());
	const evil = `${gunzipSync(backup).toString('latin1')}\nUSE draught;\n`;
	const cases = {
		'cut.sql.gz': backup.subarray(0, backup.length / 2),
		'evil.sql': Buffer.from(evil, 'latin1'),
		'note.sql': Buffer.from('x')
	};
	await open(page, `${full.url}/backups`);
	for (const [name, bytes] of Object.entries(cases)) {
		const file = info.outputPath(name);
		writeFileSync(file, bytes);
		expect(readFileSync(file).length).toBe(bytes.length);
		await page.getByLabel('A backup file').setInputFiles(file);
		await page.getByRole('button', { name: 'Restore it' }).click();
		await expect(page.getByRole('region', { name: 'Restore' }).getByRole('alert')).toHaveText(
			/Not restored: this (backup is not whole|file is no backup).*nothing was changed\./,
			{
				timeout: 60_000
			}
		);
	}
	expect(await recordOf(full)).toEqual(before);
});
