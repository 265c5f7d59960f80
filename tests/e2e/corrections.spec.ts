import { DateTime } from 'luxon';
import { BROWSER_ZONE } from './zone';
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
	await dialog.getByRole('group', { name: 'State of the spool' }).getByText('dried', { exact: true }).click();
	await expect(dialog.getByText('Changes this print only')).toBeVisible();
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
	await expect(prints).toContainText('dried');
	await expect(prints).toContainText('Corrected: ticked the wrong line');
	await prints.getByRole('button', { name: 'undo' }).click();
	await expect(prints).toContainText('Finished');
	await expect(prints).toContainText('as received');
});

test('a trial’s name and currency are put right with a reason, and undone', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Clibs', [{}]);
	await open(page, `${server.url}/trials/${trialId}/rules`);
	const facts = page.getByRole('region', { name: 'Name, question, currency' });
	await expect(facts.getByRole('button', { name: 'Save changes' })).toBeDisabled();
	await facts.getByLabel('Name of the trial').fill('Clips');
	await facts.getByLabel('Currency').selectOption('CZK');
	await facts.getByLabel('Why').fill('typed in a hurry');
	await facts.getByRole('button', { name: 'Save changes' }).click();
	await expect(facts.getByRole('listitem')).toContainText('name Clips; currency CZK, typed in a hurry');
	await expect(facts.getByLabel('Name of the trial')).toHaveValue('Clips');
	await expect(facts.getByRole('button', { name: 'Save changes' })).toBeDisabled();
	await facts.getByRole('button', { name: /^undo/ }).click();
	await expect(facts.getByRole('listitem')).toContainText('(undone)');
	await expect(facts.getByLabel('Name of the trial')).toHaveValue('Clibs');
	await expect(facts.getByLabel('Currency')).toHaveValue('EUR');
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

test('a drying’s temperature and end are put right, and undone', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Warm', [{ maker: 'Lathe', filament: 'Warm one' }]);
	const dryerId = v7();
	await api(server.url, 'dryers', { id: dryerId, name: 'Low box' });
	const [startedAt, endedAt] = [8, 4].map((h) => new Date(Date.now() - h * 3_600_000).toISOString());
	await api(server.url, 'drying-runs', { id: v7(), dryerId, spoolIds, setPoint: '60 C', duration: '4 h', at: startedAt, endedAt });
	await open(page, `${server.url}/trials/${trialId}/drying`);
	const past = page.getByRole('region', { name: 'Past runs' });
	await expect(past).toContainText('60 °C, 4 h');
	await past.getByRole('button', { name: /^edit/ }).click();
	await past.getByLabel('Temperature').fill('50 C');
	await past.getByRole('button', { name: /^ended/ }).click();
	await past.getByLabel('ended').fill('in two hours');
	await past.getByLabel('Why').fill('forgot to note it');
	await past.getByRole('button', { name: 'Correct it' }).click();
	// A time that has not been is refused at its field, and what was typed stays.
	await expect(past.getByLabel('ended')).toHaveAttribute('aria-invalid', 'true');
	await expect(past.getByLabel('Temperature')).toHaveValue('50 C');
	await past.getByLabel('ended').fill('2 hours ago');
	await past.getByRole('button', { name: 'Correct it' }).click();
	await expect(past).toContainText('50 °C, 6 h');
	await expect(past).toContainText('corrected: forgot to note it');
	await past.getByRole('button', { name: /^undo/ }).click();
	await expect(past).toContainText('60 °C, 4 h');
});

test('a spool is taken out of a trial on its own page, and put back', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'Left', [{ maker: 'Lathe', filament: 'Left one' }]);
	await open(page, `${server.url}/spools/${spoolIds[0]}`);
	const trials = page.getByRole('region', { name: 'Trials' });
	await trials.getByRole('button', { name: 'remove from trial: Left' }).click();
	await expect(trials.getByRole('status')).toHaveText(/Removed from Left; what was measured stays/);
	await expect(trials.getByRole('link', { name: 'Left' })).toHaveCount(0);
	await trials.getByRole('button', { name: 'put it back' }).click();
	await expect(trials.getByRole('link', { name: 'Left' })).toBeVisible();
});

test('a verdict of yesterday is withdrawn, and brought back', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Decided', [{ maker: 'Lathe', filament: 'Decided one' }]);
	await open(page, `${server.url}/trials/${trialId}/pick`);
	const verdict = page.getByRole('region', { name: 'Verdict' });
	await verdict.getByText('Verdict', { exact: true }).first().click();
	await verdict.getByRole('group', { name: 'Spool' }).getByRole('radio').first().check({ force: true });
	await verdict.getByRole('radio', { name: 'buy', exact: true }).check({ force: true });
	await verdict.getByRole('button', { name: /^decided/ }).click();
	await verdict.getByLabel('decided').fill('yesterday 9:00');
	await verdict.getByRole('button', { name: 'Save verdict' }).click();
	const yesterday = DateTime.now().setZone(BROWSER_ZONE).minus({ days: 1 }).setLocale('en-GB').toFormat('d LLL');
	await expect(verdict.getByRole('listitem').first()).toContainText(`${yesterday} `);
	await verdict.getByRole('button', { name: /^withdraw/ }).click();
	await expect(verdict.getByText(/: withdrawn/)).toBeVisible();
	await verdict.getByRole('button', { name: /^bring back/ }).click();
	await expect(verdict.getByRole('button', { name: /^withdraw/ })).toBeVisible();
});
