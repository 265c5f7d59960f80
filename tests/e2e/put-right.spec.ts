import { DateTime } from 'luxon';
import { BROWSER_ZONE } from './zone';
import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const now = () => new Date().toISOString();
const evidenceOf = async (spoolId: string, station: string) =>
	(
		(await (await fetch(`${server.url}/api/v1/spools/${spoolId}/evidence?station=${station}`)).json()) as {
			evidence: Record<string, Record<string, unknown>[]>;
		}
	).evidence;

const spoolOf = async (spoolId: string) => (await evidenceOf(spoolId, 'intake')).spool as unknown as Record<string, unknown>;

test('an instrument, a dryer and a printer are put right in the workshop; a check is marked invalid and brought back', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'Workshop', [{}]);
	const [caliper, dryer, printer] = [v7(), v7(), v7()];
	await api(server.url, 'instruments', { id: caliper, name: 'Caliper', errorLimit: '0.2 mm', resolution: '0.01 mm' });
	const check = { id: v7(), instrumentId: caliper, reference: '1.7 mm', readings: ['1.9', '1.9'], at: now() };
	await api(server.url, 'instrument-checks', check);
	await api(server.url, 'readings', {
		id: v7(),
		spoolId: spoolIds[0],
		quantity: 'diameter',
		typed: '1.75',
		instrumentId: caliper,
		takenAt: now()
	});
	await api(server.url, 'dryers', { id: dryer, name: 'Box', setPointLow: '40 C', setPointHigh: '70 C' });
	await api(server.url, 'printers', { id: printer, name: 'North', nozzle: '0.4 brass' });
	await open(page, `${server.url}/workshop`);

	await page.getByRole('button', { name: 'edit Caliper' }).click();
	const caliperForm = page.getByRole('form', { name: 'Edit Caliper' });
	await caliperForm.getByLabel('Good to').fill('much');
	await caliperForm.getByRole('button', { name: 'Save' }).click();
	await expect(caliperForm.getByText(/must be a length/i)).toBeVisible();
	await expect(caliperForm.getByLabel('Good to')).toHaveValue('much');
	await caliperForm.getByLabel('Good to').fill('0.02 mm');
	await caliperForm.getByRole('button', { name: 'mark invalid' }).click();
	await expect(caliperForm.getByText('marked invalid')).toBeVisible();
	await expect(page.getByText('not checked yet')).toBeVisible();
	await caliperForm.getByRole('button', { name: 'restore' }).click();
	await expect(page.getByText('not checked yet')).toHaveCount(0);
	await caliperForm.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('region', { name: 'Instruments' })).toContainText('good to ±0.02 mm');

	await page.getByRole('button', { name: 'edit Box' }).click();
	const dryerForm = page.getByRole('form', { name: 'Edit Box' });
	await dryerForm.getByLabel('Name').fill('Tall box');
	await dryerForm.getByLabel('Highest temperature').fill('85');
	await dryerForm.getByRole('button', { name: 'Save' }).click();
	const dryers = page.getByRole('region', { name: 'Dryers' });
	await expect(dryers).toContainText('Tall box · 40 to 85 °C');
	await expect(dryers).toContainText('not checked with an own probe yet');
	await dryers.getByRole('button', { name: 'check Tall box with an own probe' }).click();
	const probe = dryers.getByRole('form', { name: 'Check Tall box' });
	await probe.getByLabel('Set to').fill('60');
	await probe.getByLabel('Own probe').fill('hot');
	await probe.getByRole('button', { name: 'Save check' }).click();
	await expect(probe.getByText(/is not a temperature such as 50 C/)).toBeVisible();
	await expect(probe.getByLabel('Set to')).toHaveValue('60 C');
	await probe.getByLabel('Own probe').fill('54');
	await probe.getByRole('button', { name: 'Save check' }).click();
	await expect(dryers).toContainText('own probe 6 °C below what is set (n 1, so no range)');
	await dryers.getByRole('button', { name: 'edit Tall box' }).click();
	const tallBox = page.getByRole('form', { name: 'Edit Tall box' });
	await expect(tallBox).toContainText('set 60 °C, probe 54 °C');
	await tallBox.getByRole('button', { name: 'mark invalid the check of' }).click();
	await expect(dryers).toContainText('not checked with an own probe yet');
	await tallBox.getByRole('button', { name: 'restore the check of' }).click();
	await expect(dryers).toContainText('own probe 6 °C below what is set (n 1, so no range)');
	await tallBox.getByRole('button', { name: 'Cancel' }).click();

	await page.getByRole('region', { name: 'Printers' }).getByRole('button', { name: 'edit' }).click();
	await page.locator('#later-nozzle').fill('0.6 steel');
	await page.getByRole('region', { name: 'Printers' }).getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('region', { name: 'Printers' })).toContainText('North · nozzle 0.6 steel');
	const instrument = (await evidenceOf(spoolIds[0] as string, 'diameter')).instruments?.find((i) => i.id === caliper);
	expect(instrument).toMatchObject({ errorLimit: 0.02, resolution: 0.01 });
});

test('a print’s printer, signs, grams and surroundings are put right, and a test part', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Printed elsewhere', [{}]);
	const spoolId = spoolIds[0] as string;
	const [east, west, print, part] = [v7(), v7(), v7(), v7()];
	await api(server.url, 'printers', { id: east, name: 'East', nozzle: '0.4 brass' });
	await api(server.url, 'printers', { id: west, name: 'West', nozzle: '0.4 brass' });
	await api(server.url, 'attempts', { id: print, spoolId, trialId, printerId: east, outcome: 'finished', gramsG: 20, at: now() });
	const hook = { spoolId, attemptId: print, shape: 'hook', orientation: 'flat', method: 'steps' };
	await api(server.url, 'specimens', { id: part, ...hook, at: now() });
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByRole('button', { name: 'edit', exact: true }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('Printer', { exact: true }).selectOption('West');
	await dialog.getByText('popping', { exact: true }).click();
	await dialog.getByText('Grams, and what stood around it').click();
	await dialog.getByLabel('Grams it took').fill('heavy');
	await dialog.getByLabel('Bed surface').fill('glass');
	await dialog.getByLabel('Why').fill('wrong line of the list');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog.getByLabel('Grams it took')).toHaveAttribute('aria-invalid', 'true');
	await dialog.getByLabel('Grams it took').fill('31,5');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.locator('main ol > li')).toContainText('West');
	await expect(page.locator('main ol > li')).toContainText('signs of water: popping');
	expect((await evidenceOf(spoolId, 'prints')).attempts?.[0]).toMatchObject({
		printer: 'West',
		gramsG: 31.5,
		signs: ['pops'],
		setUp: { bedSurface: 'glass' }
	});

	await open(page, `${server.url}/trials/${trialId}/strength`);
	await page.getByRole('button', { name: 'Edit test part 1' }).click();
	await dialog.getByText('upright', { exact: true }).click();
	await dialog.getByLabel('Printed at, °C').fill('246');
	await dialog.getByLabel('Why').fill('it stood');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.getByText(/hook, upright.*246 °C/)).toBeVisible();
	expect((await evidenceOf(spoolId, 'strength')).specimens?.[0]).toMatchObject({ orientation: 'upright', nozzleC: 246, shape: 'hook' });
});

test('when a weighing was really made, and an own measure’s scale, are put right', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Late notes', [{}]);
	const spoolId = spoolIds[0] as string;
	await api(server.url, 'readings', { id: v7(), spoolId, quantity: 'grossMass', typed: '1200 g', takenAt: now() });
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await page
		.getByRole('button', { name: /1\s?200/ })
		.first()
		.click();
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('button', { name: /^taken:/ }).click();
	await dialog.getByLabel('taken').fill('yesterday 9:00');
	await dialog.getByLabel('Why').fill('noted a day late');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog).toBeHidden();
	const weighing = (await evidenceOf(spoolId, 'moisture')).readings?.find((r) => r.quantity === 'grossMass');
	const nine = DateTime.now().setZone(BROWSER_ZONE).minus({ days: 1 }).set({ hour: 9 }).startOf('hour');
	expect(weighing?.takenAt).toBe(nine.toMillis());
	expect(weighing).toMatchObject({ typedText: '1200 g', corrected: true });

	await api(server.url, 'own-measures', { id: v7(), trialId, name: 'Grip', unit: 'N', direction: 'more', low: 5, high: 25 });
	await open(page, `${server.url}/trials/${trialId}/rules`);
	await page.getByRole('button', { name: 'edit Grip' }).click();
	const form = page.getByRole('form', { name: 'Edit Grip' });
	await form.getByLabel('Scale to').fill('2');
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(form.getByText('must be above the low end')).toBeVisible();
	await form.getByLabel('Scale to').fill('40');
	await form.getByText('less', { exact: true }).click();
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('region', { name: 'Measures of your own' })).toContainText('Grip, 5 to 40 N, less is better');
});

test('the first colour of a spool and what its packet weighs are said later, and another packet of somebody else is told', async ({
	page
}) => {
	const { spoolIds } = await makeTrial(server.url, 'Said later', [{}]);
	const spoolId = spoolIds[0] as string;
	await open(page, `${server.url}/spools/${spoolId}`);
	const details = page.locator('details', { hasText: 'Add missing details' });
	await details.getByText('Add missing details').click();
	await details.getByLabel('As seen').fill('#3366cc');
	await details.getByRole('button', { name: 'Save' }).click();
	await expect.poll(async () => (await spoolOf(spoolId)).colourHex).toBe('#3366cc');
	await expect(details.getByRole('alert')).toHaveText('');

	// Meanwhile somebody else weighed the packet.
	await api(server.url, 'spool-facts', { id: v7(), spoolId, desiccant: '12 g', at: now() });
	await details.getByLabel('Desiccant packet').fill('10 g');
	await details.getByRole('button', { name: 'Save' }).click();
	await expect(details.getByText(/12/).first()).toBeVisible();
	expect((await spoolOf(spoolId)).desiccantG).toBe(12);
});
