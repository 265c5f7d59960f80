import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

test('a mistyped material, maker and code are put right on the spool, and undone', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Slips', [
		{ maker: 'Lathe', filament: 'Everyday', price: '20', netMass: '1 kg' },
		{ maker: 'Lathe', filament: 'Everyday' }
	]);
	const [first, second] = spoolIds as [string, string];
	await open(page, `${server.url}/spools/${first}`);
	await page.getByText('Correct maker, product, material or code').click();
	await expect(page.getByText('All 2 spools of this product change with it')).toBeVisible();
	await page.getByLabel('Material').fill('ASA');
	await page.locator('#right-maker').fill('Lathe Works');
	await page.getByLabel('Bench code').fill('ZZ9');
	await page.getByRole('button', { name: 'Correct it' }).click();
	// What was typed stays while the reason is asked for.
	await expect(page.getByText('Give a reason')).toBeVisible();
	await expect(page.getByLabel('Material')).toHaveValue('ASA');
	await page.locator('#right-reason').fill('read the wrong label');
	await page.getByRole('button', { name: 'Correct it' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('ZZ9');
	const corrections = page.getByRole('region', { name: 'Corrections' });
	await expect(corrections).toContainText('material PETG, now ASA');
	await expect(corrections).toContainText('maker Lathe, now Lathe Works');
	await open(page, `${server.url}/spools/${second}`);
	await expect(page.locator('main header')).toContainText('Lathe Works');
	await expect(page.locator('main header')).toContainText('ASA');
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('table').first()).toContainText('ZZ9');
	await open(page, `${server.url}/spools/${first}`);
	await corrections.getByRole('listitem').filter({ hasText: 'material PETG' }).getByRole('button', { name: 'undo' }).click();
	await expect(page.locator('main header')).toContainText('PETG');
	await expect(page.locator('main header')).not.toContainText('Works');
	await expect(corrections).toContainText('(undone)');
});

test('a weighing made on the other scale: said on the page, value and reading stay', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two scales', [{}]);
	const scales = { parcel: v7(), kitchen: v7() };
	await api(server.url, 'instruments', {
		id: scales.parcel,
		name: 'Parcel scale',
		measures: 'mass',
		errorLimit: '0.1 g',
		resolution: '0.1 g'
	});
	await api(server.url, 'instruments', { id: scales.kitchen, name: 'Kitchen scale', measures: 'mass', resolution: '1 g' });
	const reading = {
		spoolId: spoolIds[0],
		quantity: 'grossMass',
		typed: '998',
		instrumentId: scales.parcel,
		takenAt: new Date().toISOString()
	};
	expect((await api(server.url, 'readings', { id: v7(), ...reading })).status).toBe(201);
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await page.getByRole('row', { name: /998/ }).getByRole('button', { name: /998/ }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('Measured with').selectOption({ label: 'Kitchen scale' });
	await dialog.getByLabel('Why').fill('the other one was empty');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog).toBeHidden();
	const evidence: unknown = await (await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/evidence?station=moisture`)).json();
	expect(evidence).toMatchObject({ evidence: { readings: [{ typedText: '998', instrumentId: scales.kitchen, corrected: true }] } });
	await open(page, `${server.url}/spools/${spoolIds[0]}`);
	await page.getByRole('region', { name: 'Corrections' }).getByRole('button', { name: 'undo' }).click();
	await expect(page.getByText('(undone)')).toBeVisible();
});

test('a print is put right whole: result, piece, settings and the time it was printed', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Printed late', [{}]);
	const spoolId = spoolIds[0] as string;
	await api(server.url, 'attempts', { id: v7(), spoolId, trialId, outcome: 'finished', at: new Date().toISOString() });
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByRole('button', { name: 'edit', exact: true }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByText('failed', { exact: true }).click();
	await dialog.getByLabel('Got to, %').fill('40');
	await dialog.getByLabel('Why').fill('ticked the wrong line');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog.getByText('Choose a cause')).toBeVisible();
	await dialog.getByText('the filament', { exact: true }).click();
	await dialog.getByText('Settings', { exact: true }).click();
	await dialog.getByLabel('Nozzle').fill('245');
	await dialog.getByRole('button', { name: /^printed:/ }).click();
	await dialog.getByLabel('printed').fill('yesterday 9:00');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog).toBeHidden();
	const prints = page.locator('main ol > li');
	await expect(prints).toContainText('Failed at 40 %');
	await expect(prints).toContainText('245');
	await expect(prints).toContainText('9:00');
	await expect(prints).toContainText('Corrected: ticked the wrong line');
	await prints.getByRole('button', { name: 'undo' }).click();
	await expect(prints).toContainText('Finished');
});

test('trials and spools are archived, found again and brought back', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'Done with', [{ colourName: 'umber' }]);
	await open(page, `${server.url}/trials`);
	await page.getByRole('listitem').filter({ hasText: 'Done with' }).getByRole('button', { name: 'archive' }).click();
	await expect(page.getByText('1 archived trial')).toBeVisible();
	await expect(page.getByRole('link', { name: /^Done with/ })).toBeHidden();
	await page.getByText('1 archived trial').click();
	await page.getByRole('button', { name: 'bring back Done with' }).click();
	await expect(page.getByRole('link', { name: /^Done with/ })).toBeVisible();
	await open(page, `${server.url}/spools/${spoolIds[0] as string}`);
	await page.getByRole('button', { name: /^archive/ }).click();
	await expect(page.getByText('archived: not listed with the others')).toBeVisible();
	await open(page, `${server.url}/spools?q=umber`);
	await expect(page.getByRole('status').filter({ hasText: 'No spool' })).toBeVisible();
	await page.getByRole('searchbox').fill('umber archived');
	await expect(page.getByRole('status').filter({ hasText: '1 spool' })).toBeVisible();
});
