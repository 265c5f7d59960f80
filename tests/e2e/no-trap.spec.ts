import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

test('an empty record offers three ways to begin, and every page its help', async ({ page }) => {
	await open(page, server.url);
	const ways = page.getByRole('region', { name: 'Three ways to begin' });
	await expect(ways).toContainText('npm run demo');
	await ways.getByRole('button', { name: 'A quick comparison' }).click();
	await expect(page.getByLabel('Name of the trial')).toBeFocused();
	// The browser is British.
	await expect(page.getByLabel('Currency')).toHaveValue('GBP');
	await page.keyboard.type('Quick one');
	await page.getByRole('button', { name: 'Start and paste a list' }).click();
	await page
		.getByLabel('Rows from a spreadsheet, headings first')
		.fill('Material\tPrice\tFilament weight\nSilk PLA+\t19.90\t1 kg\nPCTG\t24\t750 g');
	await page.getByLabel('Nothing wrong with any of them at unboxing').check();
	await page.getByRole('button', { name: 'Add 2 spools' }).click();
	await expect(page.getByText('2 spools added.')).toBeVisible();
	await expect(page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Intake 2 of 2/ })).toBeVisible();
	await page.getByLabel('Material').fill('co-polyester');
	await expect(page.getByText('counted as PETG; an entry in the handbook changes that')).toBeVisible();
	await page.getByRole('heading', { name: 'Intake' }).click();
	await page.keyboard.press('?');
	const help = page.getByRole('dialog');
	await expect(help).toContainText('Only the material is needed.');
	await page.keyboard.press('Escape');
	await open(page, `${server.url}/trials/new`);
	await expect(ways).toHaveCount(0);
});

test('a new trial asks which state counts and says what follows from it', async ({ page }) => {
	await open(page, `${server.url}/trials/new`);
	const follows = page.getByRole('complementary', { name: 'What follows' });
	await expect(follows).toContainText('Print each spool as it comes out of its bag');
	await page.getByLabel('Name of the trial').fill('Dry ones');
	await page.getByText('dried first', { exact: true }).click();
	await expect(follows).toContainText('Weigh each spool, dry it, weigh it again, then print it.');
	await page.getByRole('button', { name: 'Start and add a spool' }).click();
	await expect(page).toHaveURL(/\/intake$/);
	const trialId = /trials\/([^/]+)\//.exec(page.url())?.[1] as string;
	const { answer } = await api(server.url, 'intake', {
		id: v7(),
		trialId,
		material: 'PETG',
		benchCode: 'QU1',
		nothingOdd: true,
		at: new Date().toISOString()
	});
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText('dried first').first()).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${String(answer.spoolId)}`);
	const notCounted = page.getByRole('paragraph').filter({ hasText: 'One of a spool that is as received is saved' });
	await expect(notCounted).toContainText('This trial counts prints dried first');
	await page.getByRole('group', { name: 'State of the spool' }).getByText('dried', { exact: true }).click();
	await expect(notCounted).toHaveCount(0);
	// Nothing is lost by drying here.
	await open(page, `${server.url}/trials/${trialId}/drying`);
	await expect(page.getByText('Print before drying:')).toHaveCount(0);
});

test('drying says whose prints as received would be lost', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'As they come', [{ benchCode: 'QA1' }, { benchCode: 'QA2' }]);
	const stored = await api(server.url, 'attempts', {
		id: v7(),
		spoolId: spoolIds[0],
		trialId,
		outcome: 'finished',
		at: new Date().toISOString()
	});
	expect(stored.status).toBe(201);
	await open(page, `${server.url}/trials/${trialId}/drying`);
	const warning = page.getByText('Print before drying:');
	await expect(warning).toHaveText('This trial counts prints as received, and 1 spool has none yet. Print before drying: QA2');
	await warning.getByRole('link', { name: 'QA2' }).click();
	await expect(page.getByRole('heading', { level: 1, name: 'QA2' })).toBeVisible();
});

test('the trials say where each stands: the next step, with piece and state, and whom it would pick', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Hinges', [
		{ price: '20', netMass: '1 kg', benchCode: 'QB1' },
		{ benchCode: 'QB2' }
	]);
	for (const spoolId of spoolIds)
		for (const [placeIndex, direction] of Array.from({ length: 10 }, (_, i) => [i >> 1, i % 2 ? 'across' : 'along'] as const))
			await api(server.url, 'readings', {
				id: v7(),
				spoolId,
				quantity: 'diameter',
				typed: '1.75',
				placeIndex,
				direction,
				takenAt: new Date().toISOString()
			});
	const next = 'print Step piece 1 with QB1, as received. About 1 h.';
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(next)).toBeVisible();
	await open(page, `${server.url}/trials`);
	const trial = page.getByRole('main').getByRole('listitem').filter({ hasText: 'Hinges' });
	await expect(trial).toContainText(`Next: ${next}`);
	await trial.getByRole('link', { name: 'Do it' }).click();
	await expect(page).toHaveURL(new RegExp(`/trials/${trialId}/prints`));
	const empty = await makeTrial(server.url, 'Latches', []);
	await open(page, `${server.url}/trials`);
	const bare = page.getByRole('main').getByRole('listitem').filter({ hasText: 'Latches' });
	await expect(bare).toContainText('Next: add the first spool.');
	await bare.getByRole('link', { name: 'Do it' }).click();
	await expect(page).toHaveURL(`${server.url}/trials/${empty.trialId}/intake`);
});

test('a bucket, and what is copied, stay in their trial; a price that was seen is not one that was paid', async ({ page }) => {
	const first = await makeTrial(server.url, 'First bench', [{ maker: 'Lathe', filament: 'Everyday', price: '20', netMass: '1 kg' }]);
	await open(page, `${server.url}/trials/${first.trialId}/strength`);
	await page.getByLabel('Bucket (added to every load)').fill('350 g');
	await page.reload();
	await expect(page.getByLabel('Bucket (added to every load)')).toHaveValue('350 g');
	const second = await makeTrial(server.url, 'Second bench', []);
	await open(page, `${server.url}/trials/${second.trialId}/intake`);
	await page.getByRole('button', { name: /^Copy from .+ \(First bench\)$/ }).click();
	await expect(page.getByLabel('Maker')).toHaveValue('Lathe');
	await page.getByRole('button', { name: 'Add spool' }).click();
	await expect(page.getByText(/added\. Write the code/)).toBeVisible();
	await expect(page.getByRole('button', { name: /^Copy from [A-Z]{2}\d$/ })).toBeVisible();
	await open(page, `${server.url}/trials/${second.trialId}/strength`);
	await expect(page.getByLabel('Bucket (added to every load)')).toHaveValue('');
	await open(page, `${server.url}/trials/${first.trialId}/cost`);
	await page.getByRole('link', { name: /new price/ }).click();
	await page.getByLabel('Total price, EUR').fill('12');
	await expect(page.getByRole('radio', { name: 'only seen' })).toBeChecked();
	await page.getByRole('button', { name: 'Save price' }).click();
	await expect(page.getByText('2 prices seen')).toBeVisible();
	// What was paid still counts.
	await expect(page.getByRole('row').filter({ hasText: 'Everyday' })).toContainText('20.00');
	await page.getByRole('link', { name: /new price/ }).click();
	await page.getByLabel('Total price, EUR').fill('15');
	await page.getByRole('radio', { name: /paid for/ }).check({ force: true });
	await page.getByRole('button', { name: 'Save price' }).click();
	await expect(page.getByRole('row').filter({ hasText: 'Everyday' })).toContainText('15.00');
});

test('a scale chosen in one trial is not carried into another', async ({ page }) => {
	for (const [name, errorLimit] of [
		['own scale', '1 g'],
		['borrowed scale', '0.1 g']
	])
		await api(server.url, 'instruments', { id: v7(), name, measures: 'mass', errorLimit, resolution: errorLimit });
	const [first, second] = [await makeTrial(server.url, 'Scale one', [{}]), await makeTrial(server.url, 'Scale two', [{}])];
	await open(page, `${server.url}/trials/${first.trialId}/moisture`);
	const scale = page.getByLabel('Instrument');
	const chosen = () => scale.evaluate((e: HTMLSelectElement) => e.selectedOptions[0]?.textContent ?? '');
	const own = await chosen();
	expect(own).not.toContain('borrowed');
	await scale.selectOption({ label: 'borrowed scale, ±0.1 g' });
	await page.reload();
	await expect.poll(chosen).toContain('borrowed');
	await open(page, `${server.url}/trials/${second.trialId}/moisture`);
	await expect.poll(chosen).toBe(own);
});

test('a word that a page cannot do without is told where it stands', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Plain words', [{ price: '20', netMass: '1 kg' }, {}]);
	await open(page, `${server.url}/trials/${trialId}/cost`);
	const note = page.getByText('the filament that failed prints waste');
	await expect(note).toBeHidden();
	await page.getByRole('button', { name: 'good kg' }).click();
	await expect(note).toBeInViewport();
	await page.keyboard.press('Escape');
	await expect(note).toBeHidden();
	for (const [path, word, told] of [
		['moisture', 'empty spool', 'The bare spool, without filament.'],
		['drying', 'goes soft', 'The softest material in the dryer'],
		['prints', 'as received', 'out of its bag, not dried']
	] as const) {
		await open(page, `${server.url}/trials/${trialId}/${path}`);
		if (path === 'moisture') {
			await page.keyboard.type('1240');
			await page.keyboard.press('Enter');
		}
		if (path === 'drying') await page.getByRole('group', { name: 'Spools' }).getByRole('checkbox').first().check();
		if (path === 'prints') await page.getByRole('radio', { name: 'dried', exact: true }).check({ force: true });
		await page.getByRole('button', { name: word, exact: true }).click();
		await expect(page.getByText(told)).toBeInViewport();
	}
	await open(page, `${server.url}/pieces`);
	await page.getByRole('button', { name: 'test piece', exact: true }).click();
	await expect(page.getByText('Always the same one')).toBeInViewport();
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${server.url}/trials/${trialId}/cost`);
	// A row is a card there, and what can be done about it is in sight.
	const add = page.getByRole('link', { name: 'note the price' });
	await add.scrollIntoViewIfNeeded();
	const box = await add.boundingBox();
	expect((box?.x ?? 0) + (box?.width ?? 999)).toBeLessThanOrEqual(390);
});

test('every page begins where one types first, but not on a phone', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Begin here', [{ price: '20', netMass: '1 kg' }]);
	const begins: [path: string, field: string][] = [
		['/trials/new', '#name'],
		['/spools', '#q'],
		[`/trials/${trialId}/intake`, '#material'],
		[`/trials/${trialId}/diameter`, '#capture'],
		[`/trials/${trialId}/moisture`, '#capture'],
		[`/trials/${trialId}/strength`, '#capture'],
		[`/trials/${trialId}/prints`, '#overhangLastClean'],
		[`/trials/${trialId}/drying`, 'form[aria-label="Dry spools"] input[type=checkbox]'],
		[`/trials/${trialId}/cost?spool=${spoolIds[0]}`, '#price'],
		['/handbook', '#find']
	];
	for (const [path, field] of begins) {
		await open(page, server.url + path);
		await expect(page.locator(field).first(), path).toBeFocused();
	}
	await page.keyboard.type('tpu');
	await expect(page.getByRole('row', { name: /^TPU/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /^PLA/ })).toHaveCount(0);
	await page.setViewportSize({ width: 390, height: 844 });
	for (const [path, field] of [begins[2], begins[6], begins[8]] as [string, string][]) {
		await open(page, server.url + path);
		await expect(page.locator(field), path).toBeVisible();
		await expect(page.locator(field), path).not.toBeFocused();
	}
});

test('the verdict is reached by its key', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'By keys', [{ maker: 'Lathe', filament: 'Keyed' }]);
	await open(page, `${server.url}/trials/${trialId}/pick`);
	await page.keyboard.press('v');
	await expect(page.getByRole('group', { name: 'Spool' }).getByRole('radio').first()).toBeFocused();
	await page.keyboard.press('Space');
	await page.keyboard.press('Tab');
	await page.keyboard.press('Space');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: /^withdraw/ })).toBeVisible();
});

test('a caliper, a scale, a dryer and a printer are added where they are missed', async ({ page }) => {
	const own = await TestServer.start();
	try {
		const { trialId } = await makeTrial(own.url, 'Bare bench', [{}]);
		const trial = `${own.url}/trials/${trialId}`;
		const dialog = page.getByRole('dialog');
		await open(page, `${trial}/diameter`);
		await page.getByRole('button', { name: 'add your caliper' }).click();
		await dialog.getByLabel('Name').fill('Caliper B');
		await dialog.getByLabel('Display step').fill('thin');
		await dialog.getByRole('button', { name: 'Add it' }).click();
		await expect(dialog.getByLabel('Display step')).toHaveAttribute('aria-invalid', 'true');
		await expect(dialog.getByLabel('Name')).toHaveValue('Caliper B');
		await dialog.getByLabel('Display step').fill('0.01 mm');
		await dialog.getByLabel('Display step').press('Enter');
		await expect(page.getByLabel('Instrument')).toHaveValue(/[0-9a-f-]{36}/);
		await expect(page.getByRole('textbox', { name: /^Reading|^Diameter/ })).toBeFocused();
		await open(page, `${trial}/moisture`);
		await page.getByRole('button', { name: 'add your scale' }).click();
		await dialog.getByLabel('Name').fill('Kitchen');
		await dialog.getByLabel('Display step').fill('1 g');
		await dialog.getByRole('button', { name: 'Add it' }).click();
		await expect(page.getByLabel('Instrument')).toContainText('Kitchen');
		await open(page, `${trial}/drying`);
		await page.getByRole('button', { name: 'add your dryer' }).click();
		await dialog.getByLabel('Name').fill('Low box');
		await dialog.getByRole('button', { name: 'Add it' }).click();
		// The form it was missed in was not sent, and has it now.
		await expect(page.getByLabel('Dryer')).toContainText('Low box');
		await expect(page.getByRole('region', { name: 'Past runs' })).toHaveCount(0);
		await open(page, `${trial}/prints`);
		await page.getByText('Settings', { exact: false }).first().click();
		await page.locator('summary', { hasText: 'Settings' }).click();
		await page.getByRole('button', { name: 'add a printer' }).click();
		await dialog.getByLabel('Name').fill('North');
		await dialog.getByLabel('Nozzle').fill('0.4 brass');
		await dialog.getByRole('button', { name: 'Add it' }).click();
		await expect(page.getByLabel('Printer and nozzle')).toContainText('North, 0.4 brass');
		await expect(page.getByText(/prints of /)).toHaveCount(0);
		const file = page.getByRole('link', { name: /^its file/ });
		const code = await page.getByRole('heading', { level: 1 }).innerText();
		const download = page.waitForEvent('download');
		await file.click();
		// It bears the code of the spool it is printed with.
		expect((await download).suggestedFilename()).toBe(`step-piece-1-${code.toLowerCase()}.3mf`);
		await api(own.url, 'pieces', { id: v7(), name: 'Old model', marks: [{ mark: 'surface', steps: null }] });
		await page.reload();
		await page.getByLabel('Test piece').selectOption('Old model 1');
		await expect(page.getByRole('link', { name: 'no file: make one' })).toBeVisible();
	} finally {
		await own.stop();
	}
});

test('a unit tapped beside a field is the one that is meant, and remembered', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Fahrenheit', [{}]);
	await api(server.url, 'dryers', { id: v7(), name: 'Low box' });
	await open(page, `${server.url}/trials/${trialId}/drying`);
	await page.getByRole('group', { name: 'Spools' }).getByRole('checkbox').first().check();
	await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('65 C');
	await page.getByRole('group', { name: 'Unit of Temperature' }).getByRole('button', { name: 'F' }).click();
	await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('149 F');
	await page.getByLabel('Temperature', { exact: true }).fill('140');
	await page.getByLabel('Temperature', { exact: true }).press('Tab');
	await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('140 F');
	await page.getByRole('button', { name: 'Start the timer' }).click();
	await expect(page.getByText(/at 140 °F\. The timer shows/)).toBeVisible();
	await page.reload();
	await expect(page.getByRole('group', { name: 'Unit of Temperature' }).getByRole('button', { name: 'F' })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
});
