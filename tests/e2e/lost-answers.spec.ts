import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { connect, type Connection } from '../../src/lib/server/base/db/client';
import { writeLog } from '../../src/lib/server/base/db/schema';
import { allKept, api, makeTrial, open } from './bench';
import { loseAnswer, storedOnce } from './lose-answer';
import { TestServer } from './server';

let server: TestServer;
let db: Connection;
test.beforeAll(async () => {
	server = await TestServer.start();
	db = connect(server.databaseUrl);
});
test.afterAll(async () => {
	await db.pool.end();
	await server.stop();
});

const kinds = async (): Promise<string[]> => (await db.db.select({ kind: writeLog.kind }).from(writeLog)).map((row) => row.kind);
const once = (page: Page, path: string, kind: string, press: (first: boolean) => Promise<void>): Promise<void> =>
	storedOnce(kinds, page, path, kind, press);

const label = (page: Page, name: string | RegExp) => page.getByLabel(name).first();
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });

test('the workshop’s forms store once', async ({ page }) => {
	await open(page, `${server.url}/workshop`);
	const section = (name: string) => page.getByRole('region', { name });
	await once(page, 'instruments', 'instrument', async (first) => {
		const form = section('Instruments').locator('form').last();
		if (first) {
			await form.getByLabel('Name').fill('Caliper');
			await form.getByLabel('Good to').fill('0.02 mm');
			await form.getByLabel('Display step').fill('0.01 mm');
		}
		await form.getByRole('button', { name: 'Add it' }).click();
	});
	await button(page, 'check it against a pin').click();
	await once(page, 'instrument-checks', 'instrumentCheck', async (first) => {
		if (first) {
			await label(page, 'Size of the pin').fill('1.700 mm');
			await label(page, 'Readings of it').fill('1.70 1.71 1.70');
		}
		await button(page, 'Save check').click();
	});
	await once(page, 'printers', 'printer', async (first) => {
		const form = section('Printers').locator('form').last();
		if (first) {
			await form.getByLabel('Name').fill('North');
			await form.getByLabel('Nozzle').first().fill('0.4 brass');
		}
		await form.getByRole('button', { name: 'Add it' }).click();
	});
	await section('Printers').getByRole('button', { name: 'edit' }).click();
	await once(page, 'printer-facts', 'printerFacts', async (first) => {
		if (first) await page.locator('#later-hotEndMax').fill('260 C');
		await button(page, 'Save').click();
	});
	await once(page, 'dryers', 'dryer', async (first) => {
		const form = section('Dryers').locator('form');
		if (first) await form.getByLabel('Name').fill('Tall box');
		await form.getByRole('button', { name: 'Add it' }).click();
	});
	await expect(section('Dryers').getByRole('listitem').filter({ hasText: 'Tall box' })).toHaveCount(1);
	await button(page, /^check it/).waitFor();
	await page.getByRole('link', { name: 'gauge study' }).click();
	await label(page, 'Who measures').fill('Ada');
	await label(page, 'Marked spots').fill('2');
	await label(page, 'Rounds').fill('2');
	await button(page, 'Begin').click();
	for (const typed of ['1.74', '1.76', '1.75', '1.76']) {
		await page.keyboard.type(typed);
		await page.keyboard.press('Enter');
	}
	await once(page, 'gauge-studies', 'gaugeStudy', () => button(page, 'Save study').click());
	await open(page, `${server.url}/workshop/trainer`);
	await label(page, 'Who scores').fill('Ada');
	await button(page, 'Begin').click();
	for (let n = 0; n < 12; n++) {
		await page.keyboard.press('1');
		if (n < 11) await page.keyboard.press('Enter');
	}
	// Every key was heard; where one was not, this says so and not the answer that never came.
	await expect(page.getByTestId('trained-drawing')).toHaveText('drawing 12 of 12');
	await expect(button(page, /how it went/)).toBeVisible();
	await once(page, 'trainings', 'training', () => page.keyboard.press('Enter'));
	await expect(page.getByTestId('training-result')).toBeVisible();
});

test('pieces, handbook, tables and bundles store once', async ({ page }) => {
	await open(page, `${server.url}/pieces`);
	await expect(page.getByTestId('piece-facts')).toBeVisible();
	await once(page, 'pieces', 'piece', () => button(page, 'Save').first().click());
	await once(page, 'pieces', 'piece', async (first) => {
		const form = page.getByRole('form', { name: 'Upload a model of your own' });
		if (first) {
			await form.getByLabel('Name').fill('Finder bracket');
			await form.getByLabel('surface', { exact: false }).first().check();
		}
		await form.getByRole('button', { name: 'Save', exact: true }).click();
	});
	await open(page, `${server.url}/handbook`);
	await button(page, 'Edit PETG').first().click();
	await once(page, 'handbook', 'handbook', async (first) => {
		if (first) await label(page, 'Fumes').fill('little');
		await button(page, 'Save as your own copy').click();
	});
	await open(page, `${server.url}/exchange`);
	await page.getByRole('combobox', { name: 'Table' }).selectOption('makers');
	await page.getByText('or paste the text').click();
	await label(page, 'Text of the table').fill('name\nEast dome');
	await button(page, 'Preview').click();
	await once(page, 'csv-imports', 'csvImport', () => button(page, /^Import 1 row/).click());
	const { trialId } = await makeTrial(server.url, 'Goes out', [{}]);
	const bundle = await (await fetch(`${server.url}/api/v1/trials/${trialId}/bundle`)).text();
	await once(page, 'bundles', 'bundle', () =>
		page.getByLabel('A trial bundle in').setInputFiles({ name: 'trial.json', mimeType: 'application/json', buffer: Buffer.from(bundle) })
	);
});

test('a trial’s forms store once', async ({ page }) => {
	await open(page, `${server.url}/trials/new`);
	await once(page, 'trials', 'trial', async (first) => {
		if (first) await label(page, 'Name of the trial').fill('Lost answers');
		await button(page, /^Start/).click();
	});
	await page.waitForURL(/intake$/);
	await once(page, 'intake', 'intake', async (first) => {
		if (first) await label(page, 'Material').fill('PETG');
		await button(page, 'Add spool').click();
	});
	await expect(page.getByText('added. Write the code')).toBeVisible();
	await button(page, 'Paste a list').click();
	await once(page, 'intake/list', 'intakeList', async (first) => {
		if (first) await label(page, 'Rows from a spreadsheet').fill('Material\tPrice\tFilament weight\nPETG\t20\t1 kg\nPLA\t15\t1 kg');
		await button(page, 'Add 2 spools').click();
	});
	await expect(page.getByLabel('Spools of this trial').getByText('not inspected')).toHaveCount(3);
	const trial = page.url().replace(/\/intake.*/, '');
	await page.getByRole('link', { name: 'Inspect' }).first().click();
	await once(page, 'unboxings', 'unboxing', async (first) => {
		if (first) await page.getByLabel('Spools of this trial').getByLabel('Nothing wrong').check();
		await button(page, 'Save').click();
	});
	await open(page, `${trial}/rules`);
	await once(page, 'protocols', 'protocol', async (first) => {
		if (first) await label(page, 'Prints per piece').fill('3');
		await button(page, /Save rules/).click();
	});
	await once(page, 'trial-facts', 'trialFacts', async (first) => {
		if (first) await label(page, 'Name of the trial').fill('Lost and found');
		await button(page, 'Save changes').click();
	});
	await once(page, 'own-measures', 'ownMeasure', async (first) => {
		if (first) {
			await page.locator('#measure-name').fill('grip');
			await page.locator('#measure-low').fill('0');
			await page.locator('#measure-high').fill('10');
		}
		await button(page, 'Add the measure').click();
	});
	await once(page, 'blind', 'blind', () => page.getByText('Show bench codes only').click());
	await makeTrial(server.url, 'Elsewhere', [{ material: 'ASA' }]);
	await page.reload();
	await once(page, 'trial-spools', 'trialSpool', async (first) => {
		if (first) await page.locator('#add-spool').selectOption({ index: 1 });
		await button(page, 'Add it').click();
	});
	await once(page, 'trial-leaves', 'trialLeave', async () => {
		await button(page, 'remove').last().click();
		await button(page, /^yes, /).click();
	});
	await open(page, `${trial}/pick`);
	// A slider and a radio button are where they were put: there the page offers the second press.
	await once(page, 'criteria', 'criteria', async (first) => {
		const weight = page.getByLabel(/^Importance of/).first();
		if (first) await weight.fill('7');
		if (first) await weight.press('Enter');
		else await button(page, 'Press again').click();
	});
	await once(page, 'protocols', 'protocol', async (first) => {
		if (first) await page.locator('input[type=radio][value=cheapest]').check({ force: true });
		else await button(page, 'Press again').click();
	});
	await page.getByText('Verdict', { exact: true }).first().click();
	await once(page, 'verdicts', 'verdict', async (first) => {
		if (first) {
			const form = page.getByRole('region', { name: 'Verdict' }).locator('form');
			await form.getByRole('radio').first().check({ force: true });
			await form.locator('input[name=verdict-kind]').first().check({ force: true });
		}
		await button(page, 'Save verdict').click();
	});
});

test('a spool’s forms and the benches’ store once', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'One spool', [{ price: '20', netMass: '1 kg' }]);
	const spoolId = spoolIds[0] as string;
	const trial = `${server.url}/trials/${trialId}`;
	await open(page, `${server.url}/spools/${spoolId}`);
	await once(page, 'notes', 'note', async (first) => {
		if (first) await page.locator(`#note-${spoolId}`).fill('smells of nothing');
		await button(page, 'Save note').first().click();
	});
	await page.getByText('Add missing details').click();
	await once(page, 'spool-facts', 'spoolFacts', async (first) => {
		if (first) await page.locator('#fact-lot').fill('L7');
		await button(page, 'Save').click();
	});
	await page.getByText('Correct maker, product').click();
	await once(page, 'product-facts', 'productFacts', async (first) => {
		if (first) await page.getByLabel('Material').fill('ASA');
		if (first) await page.locator('#right-reason').fill('read the wrong label');
		await button(page, 'Correct it').click();
	});
	await once(page, 'archivings', 'archiving', () =>
		button(page, /^archive/)
			.first()
			.click()
	);
	await button(page, /^bring back/).click();
	await expect(button(page, /^archive/)).toBeVisible();
	await page.getByText('1 price seen').click();
	await button(page, 'wrong?').click();
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await page.locator('#quote-reason').fill('another reel');
		await button(page, 'Mark invalid').click();
	});
	const struck = page.getByRole('region', { name: 'Corrections' }).getByRole('listitem').filter({ hasText: 'another reel' });
	await once(page, 'amendments', 'amendment', () => struck.getByRole('button', { name: 'undo' }).click());
	await once(page, 'house-spool', 'houseSpool', () => button(page, 'Make it the house spool').click());
	await once(page, 'parts', 'part', async (first) => {
		if (first) await page.locator('#part-name').fill('finder bracket');
		await button(page, 'In use from today').click();
	});
	await once(page, 'part-states', 'partState', () => button(page, 'holds').click());
	await open(page, `${trial}/cost`);
	await page
		.getByRole('link', { name: /new price|note the price/ })
		.first()
		.click();
	await once(page, 'quotes', 'quote', async (first) => {
		if (first) await page.locator('#price').fill('18');
		await button(page, 'Save price').click();
	});
	await api(server.url, 'dryers', { id: v7(), name: 'Low box' });
	await open(page, `${trial}/drying`);
	await once(page, 'drying-runs', 'dryingRun', async (first) => {
		if (first) await page.getByRole('checkbox').first().check();
		await button(page, 'Start the timer').click();
	});
	await once(page, 'drying-ends', 'dryingEnd', () => button(page, 'Finished').first().click());
	await once(page, 'drying-facts', 'dryingFacts', async (first) => {
		if (first) {
			await button(page, /^edit Low box/).click();
			await page.getByLabel('Temperature', { exact: true }).last().fill('48 C');
			await page.getByLabel('Why').fill('read the dial wrongly');
		}
		await button(page, 'Correct it').click();
	});
	await open(page, `${server.url}/spools/${spoolId}`);
	await once(page, 'amendments', 'amendment', () =>
		button(page, /undo this drying/)
			.first()
			.click()
	);
	await once(page, 'events', 'event', async (first) => {
		if (first) {
			await page.getByText('Something else happened to it').click();
			await page.getByText('filament cut off').click();
		}
		await button(page, 'Save').first().click();
	});
	await open(page, `${trial}/prints`);
	await once(page, 'attempts', 'attempt', () => button(page, 'Save print').click());
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) {
			await button(page, 'edit').first().click();
			await page.locator('#amend-reason').fill('belt was loose');
		}
		await button(page, 'Mark invalid').click();
	});
	await once(page, 'amendments', 'amendment', () => button(page, 'undo').first().click());
	const picture = test.info().outputPath('print.png');
	await sharp({ create: { width: 40, height: 30, channels: 3, background: '#456' } })
		.png()
		.toFile(picture);
	await once(page, 'photos/[0-9a-f-]{36}', 'photo', () =>
		page
			.getByLabel(/^Photograph of/)
			.first()
			.setInputFiles(picture)
	);
	// The page that loads anew after the photograph would show, between the two presses, that the first was stored.
	await open(page, `${trial}/prints`);
	await once(page, 'amendments', 'amendment', () =>
		button(page, /^Mark photograph invalid:/)
			.first()
			.click()
	);
	await open(page, `${trial}/moisture`);
	for (const typed of ['1240', '1239']) {
		await page.keyboard.type(typed);
		await page.keyboard.press('Enter');
	}
	await allKept(page);
	await page.reload();
	await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	await once(page, 'amendments', 'amendment', async (first) => {
		const before = page.getByLabel(/^Before the weighing/).first();
		if (first) await before.selectOption('dried');
		else await button(page, 'Press again').click();
	});
});

test('a correction and a strike-out are stored once, wherever they are made', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Mended', [{}]);
	const spoolId = spoolIds[0] as string;
	const trial = `${server.url}/trials/${trialId}`;
	const stored = async (path: string, body: object) =>
		expect((await api(server.url, path, { id: v7(), spoolId, ...body })).status, JSON.stringify(body)).toBe(201);
	const now = new Date().toISOString();
	for (const [placeIndex, typed] of ['1.75', '1.76', '1.74', '1.75', '1.76', '1.57'].entries())
		await stored('readings', { quantity: 'diameter', typed, placeIndex, direction: 'along', takenAt: now });
	// A house spool of another test may stand on the bench, too.
	await open(page, `${trial}/diameter?spool=${spoolId}`);
	await once(page, 'amendments', 'amendment', () => button(page, 'it is right').click());
	const dialog = page.getByRole('dialog');
	await page.getByRole('button', { name: '1.57' }).click();
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await dialog.getByLabel('Right value').fill('1.75');
		if (first) await dialog.getByLabel('Why').fill('digits swapped');
		await dialog.getByRole('button', { name: 'Correct it' }).click();
	});
	await expect(dialog).toBeHidden();
	await page.getByRole('button', { name: '1.74' }).click();
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await dialog.getByLabel('Why').fill('on a kink');
		await dialog.getByRole('button', { name: 'Mark invalid' }).click();
	});
	await expect(dialog).toBeHidden();
	await open(page, `${server.url}/spools/${spoolId}`);
	const corrections = page.getByRole('region', { name: 'Corrections' });
	await once(page, 'amendments', 'amendment', () => corrections.getByRole('button', { name: 'undo' }).first().click());
	await expect(corrections.getByText('(undone)')).toHaveCount(1);

	const specimenId = v7();
	expect(
		(await api(server.url, 'specimens', { id: specimenId, spoolId, shape: 'bar', orientation: 'flat', method: 'direct', at: now })).status
	).toBe(201);
	await stored('readings', { quantity: 'loadBroke', typed: '150 N', specimenId, takenAt: now });
	await open(page, `${trial}/strength?spool=${spoolId}`);
	await button(page, 'Edit test part 1').click();
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await dialog.getByLabel('Why').fill('slipped');
		await dialog.getByRole('button', { name: 'Mark invalid' }).click();
	});
	await expect(button(page, 'Edit test part 1')).toHaveText('marked invalid');
	await button(page, 'Edit test part 1').click();
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await dialog.getByLabel('Why').fill('it was the other one');
		await dialog.getByRole('button', { name: 'Restore' }).click();
	});
});

test('a gauge’s log is stored once, whichever answer is lost', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'A log', [{}]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	const text = [
		'place,diameter',
		...Array.from({ length: 400 }, (_, i) => `${(i * 0.01).toFixed(2)},${(1.75 + 0.005 * Math.sin(i / 7)).toFixed(4)}`)
	];
	const file = { name: 'gauge.csv', mimeType: 'text/csv', buffer: Buffer.from(text.join('\n')) };
	for (const path of ['logs', 'log-ends']) {
		await loseAnswer(page, path);
		await page.getByLabel('File of a gauge').setInputFiles(file);
		await button(page, 'Import log').last().click();
		await expect(page.getByText('The connection broke off')).toBeVisible();
		await button(page, /Go on|Import log/)
			.last()
			.click();
		await expect(page.getByText('The connection broke off')).toHaveCount(0);
		await page.unrouteAll({ behavior: 'wait' });
		await expect.poll(async () => (await kinds()).filter((k) => k === 'logEnd').length).toBe(path === 'logs' ? 1 : 2);
		expect((await kinds()).filter((k) => k === 'log')).toHaveLength(path === 'logs' ? 1 : 2);
		await page.reload();
		await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	}
	// Two logs are there; what is done to the later one is stored once, too.
	await button(page, 'Exclude a part').click();
	const part = page.getByRole('form', { name: 'Exclude a part of the log' });
	await once(page, 'amendments', 'amendment', async (first) => {
		if (first) await part.getByLabel('From metre').fill('1');
		if (first) await part.getByLabel('to metre').fill('1.5');
		if (first) await part.getByLabel('Why').fill('the gauge was touched');
		await part.getByRole('button', { name: 'Exclude it' }).click();
	});
	await expect(part).toHaveCount(0);
	await once(page, 'amendments', 'amendment', () => button(page, 'Restore').first().click());
	await once(page, 'amendments', 'amendment', () => button(page, 'Mark this log invalid').first().click());
	// What was marked invalid is drawn anew once more when its spool was loaded: a message of before would go with it.
	await page.waitForLoadState('networkidle');
	await once(page, 'amendments', 'amendment', () => button(page, 'Restore').first().click());
});

test('a log that is given up leaves nothing, though the answer is lost', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Given up', [{}]);
	await open(page, `${server.url}/trials/${trialId}/diameter?spool=${spoolIds[0]}`);
	const rows = Array.from({ length: 400 }, (_, i) => `${(i * 0.01).toFixed(2)},1.75`);
	const file = { name: 'given-up.csv', mimeType: 'text/csv', buffer: Buffer.from(['place,diameter', ...rows].join('\n')) };
	const before = (await kinds()).length;
	await page.getByLabel('File of a gauge').setInputFiles(file);
	let arrived: () => void = () => undefined;
	const waiting = new Promise<void>((done) => (arrived = done));
	// The slice never gets there, so that there is time to give up.
	await page.route('**/slices/0', () => arrived());
	await button(page, 'Import log').click();
	await waiting;
	await loseAnswer(page, 'log-ends');
	await button(page, 'Cancel').click();
	await expect(page.getByText('Cancelled; nothing stored.')).toBeVisible();
	await expect.poll(async () => (await kinds()).slice(before).sort()).toEqual(['log', 'logEnd']);
	await page.unrouteAll({ behavior: 'ignoreErrors' });
	const shelf = await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/evidence?station=diameter`);
	const bench = (await shelf.json()) as {
		evidence: { logs: unknown[] };
	};
	expect(bench.evidence.logs).toEqual([]);
	// The same file again is a log of its own.
	await page.reload();
	await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	await page.getByLabel('File of a gauge').setInputFiles(file);
	await button(page, 'Import log').click();
	await expect(page.getByRole('heading', { name: /^Strand as the gauge saw it/ })).toBeVisible();
	expect((await kinds()).slice(before).sort()).toEqual(['log', 'log', 'logEnd', 'logEnd']);
});

test('what is typed while a print is on its way stays; a refused one can be put back', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Typing on', [{}]);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	let release: () => void = () => undefined;
	const held = new Promise<void>((done) => (release = done));
	await page.route('**/api/v1/attempts', async (route) => {
		await held;
		await route.continue();
	});
	await page.locator('#overhangLastClean').fill('60');
	await button(page, 'Save print').click();
	await expect(page.locator('#overhangLastClean')).toHaveValue('');
	await page.locator('#overhangLastClean').fill('65');
	release();
	await expect(page.getByText(/^Saved: /)).toBeVisible();
	await expect(page.locator('#overhangLastClean')).toHaveValue('65');
	await page.unrouteAll({ behavior: 'wait' });
	// Refused at once: what was sent is back, with its error at the field.
	await page.locator('#overhangFirstFaulty').fill('50');
	await button(page, 'Save print').click();
	await expect(page.getByText('must be beyond the last clean one (65)')).toBeVisible();
	await expect(page.locator('#overhangFirstFaulty')).toHaveValue('50');
	await expect(page.locator('#overhangFirstFaulty')).toBeFocused();
});
