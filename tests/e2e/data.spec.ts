import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const read = async (path: string) => await (await fetch(`${server.url}/api/v1/${path}`)).text();
const codeOf = async (spoolId: string) => (JSON.parse(await read(`spools/${spoolId}/findings`)) as { spool: { code: string } }).spool.code;

test('a table comes in from a file: looked at first, one fault in row 17 changes nothing, then the whole file', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'CSV', [{}]);
	const code = await codeOf(spoolIds[0] as string);
	const rows = Array.from({ length: 24 }, (_, i) => `${code},diameter,${i === 15 ? '1.7.5' : '1.75'},2026-11-01 10:00`);
	const file = (lines: string[]) => ({
		name: 'mine.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(['spoolId,quantity,typedText,takenAt', ...lines].join('\n'))
	});
	await open(page, `${server.url}/exchange`);
	await page.getByText('The header of readings').click();
	await expect(page.getByText('one of: along, across')).toBeVisible();
	const before = await read('csv/readings');
	await page.getByLabel('File', { exact: true }).setInputFiles(file(rows));
	await expect(page.getByRole('alert').getByText('Row 17, typedText')).toBeVisible();
	await expect(page.getByText('has two decimal marks')).toBeVisible();
	expect(await read('csv/readings')).toBe(before);

	rows[15] = `${code},diameter,1.76,11/1/2026 10:00 AM`;
	await page.getByLabel('File', { exact: true }).setInputFiles(file(rows));
	await expect(page.getByText('24 new rows, no errors.')).toBeVisible();
	expect(await read('csv/readings')).toBe(before);
	await page.getByRole('button', { name: 'Import 24 rows' }).click();
	await expect(page.getByText('Saved: 24 rows new in readings.')).toBeVisible();
	const found = JSON.parse(await read(`spools/${spoolIds[0]}/findings`)) as { findings: { quantity: string; n: number }[] };
	expect(found.findings.find((f) => f.quantity === 'diameterMean')?.n).toBe(24);

	// What goes out comes in again and is known.
	await page.getByLabel('File', { exact: true }).setInputFiles({
		name: 'draught-readings.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(await read('csv/readings'))
	});
	await expect(page.getByText('0 new rows, no errors; 25 already here.')).toBeVisible();
});

test('a trial goes out as a bundle and into another bench, by the page', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Moved', [
		{ maker: 'Somebody', filament: 'Thing', price: '20', netMass: '1 kg' }
	]);
	await api(server.url, 'readings', {
		id: v7(),
		spoolId: spoolIds[0],
		quantity: 'diameter',
		typed: '1.74',
		takenAt: new Date().toISOString()
	});
	await open(page, `${server.url}/exchange`);
	const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Moved' }).click()]);
	const other = await TestServer.start();
	await open(page, `${other.url}/exchange`);
	const broken = { name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"draught-trial"}') };
	await page.getByLabel('A trial bundle in').setInputFiles(broken);
	await expect(page.getByText('Not imported; nothing was stored')).toBeVisible();
	await page.getByLabel('A trial bundle in').setInputFiles(await download.path());
	await expect(page.getByText('Imported:')).toBeVisible();
	await page.getByRole('link', { name: 'Open the trial' }).click();
	await expect(page.getByRole('heading', { name: 'Moved' })).toBeVisible();
	const findings = async (url: string) =>
		(await (await fetch(`${url}/api/v1/trials/${trialId}/findings`)).text()).replaceAll(/"revision":\d+/g, '"revision":0');
	expect(await findings(other.url)).toBe(await findings(server.url));
	await other.stop();
});

test('the handbook is edited as an own copy, and the dryer’s guard follows it', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Own copy', [{ material: 'PVA' }]);
	await open(page, `${server.url}/handbook`);
	await page.getByRole('button', { name: 'Edit PVA' }).click();
	await page.getByLabel('Drying, °C').fill('50 to 40');
	await page.getByLabel('Source').first().fill('own test');
	await page.getByRole('button', { name: 'Save as your own copy' }).click();
	await expect(page.getByText('Drying: must not be below the low end')).toBeVisible();
	await page.getByLabel('Drying, °C').fill('40 to 48');
	await page.getByRole('button', { name: 'Save as your own copy' }).click();
	await expect(page.getByRole('row', { name: /PVA/ })).toContainText('own test');
	await api(server.url, 'dryers', { id: v7(), name: 'Box' });
	await open(page, `${server.url}/trials/${trialId}/drying`);
	await page.getByRole('checkbox', { name: /PVA/ }).check();
	await expect(page.getByText('The handbook dries PVA at up to 48 °C')).toBeVisible();
	await page.getByLabel('Temperature').fill('55 C');
	await expect(page.getByText('I mean it')).toBeVisible();
	await open(page, `${server.url}/handbook`);
	await page.getByRole('button', { name: 'Edit PVA' }).click();
	await page.getByRole('button', { name: 'Back to the first figures' }).click();
	await expect(page.getByRole('row', { name: /PVA/ })).not.toContainText('own test');
});

test('a part goes into service and is found cracked', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'Use', [{}]);
	await open(page, `${server.url}/spools/${spoolIds[0]}`);
	await page.getByRole('button', { name: 'In use from today' }).click();
	await expect(page.getByText('Part is missing')).toBeVisible();
	await page.getByLabel('Part').fill('finder bracket');
	await page.getByLabel('Where used').fill('east dome');
	await page.getByRole('button', { name: 'In use from today' }).click();
	await page.getByLabel('Word about finder bracket').fill('at the hinge');
	await page.getByRole('button', { name: 'cracked' }).click();
	await expect(page.getByRole('region', { name: 'In use' })).toContainText('cracked, at the hinge');
});

test('the three examples of docs/api.md run as they stand', async () => {
	const text = readFileSync('docs/api.md', 'utf8');
	const examples = [...text.matchAll(/```sh\n([\s\S]*?)```/g)].map((m) => m[1] as string);
	expect(examples).toHaveLength(3);
	const { trialId, spoolIds } = await makeTrial(server.url, 'curl', [{}]);
	const answers = examples.map((example) =>
		execFileSync(
			'bash',
			[
				'-c',
				example
					.replaceAll('http://localhost:4171', server.url)
					.replaceAll('SPOOL_ID', spoolIds[0] ?? '')
					.replaceAll('TRIAL_ID', trialId)
			],
			{
				encoding: 'utf8'
			}
		)
	);
	expect(JSON.parse(answers[0] ?? '')).toMatchObject({ value: 1.76, typedText: '1,76 mm' });
	expect(JSON.parse(answers[1] ?? '')).toMatchObject({ rows: [{ spoolId: spoolIds[0] }] });
	expect(answers[2]).toContain('typedText');
	expect(answers[2]).toContain('1,76 mm');
});
