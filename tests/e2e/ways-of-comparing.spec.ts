import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { allKept, makeTrial, open, type } from './bench';
import { ago, Records } from './records';
import { TestServer } from './server';

/** Ways of comparing that testers really use. Evidence may come in by the API; every sentence is read off a page. */

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());
test.use({ locale: 'en-GB' });

const DAY = 24 * 3_600_000;
const records = new Records(() => server.url);
const ladder = (deg: number) => ({ overhangLastClean: String(deg), overhangFirstFaulty: String(deg + 5) });
const priced = (price: string, more: object = {}) => ({ price, netMass: '1 kg', ...more });

test('one fixed battery on one spool, against the five tested before', async ({ page }) => {
	const before = await makeTrial(
		server.url,
		'The five before',
		['20', '21', '22', '23', '24'].map((price) => priced(price, { material: 'ASA' }))
	);
	for (const [i, spoolId] of before.spoolIds.entries())
		for (let n = 0; n < 3; n++)
			await records.print(spoolId, { ...ladder(i < 4 ? 45 : 65), strings: i === 0 ? 'heavy' : 'wisp' }, { at: ago(40 * DAY) });
	const { trialId, spoolIds } = await makeTrial(server.url, 'The new one', [priced('19', { material: 'ASA' })]);
	const spoolId = spoolIds[0] as string;
	for (let n = 0; n < 3; n++) await records.print(spoolId, { ...ladder(65), strings: 'wisp' });
	await open(page, `${server.url}/trials/${trialId}/pick`);
	// One spool is no first place.
	await expect(page.getByText('One spool has no rank')).toBeVisible();
	await page.getByRole('link', { name: 'scorecard' }).first().click();
	const sentence = page.getByTestId('scorecard-sentence');
	await expect(sentence).toContainText('Beside 5 other ASA');
	const overhang = page
		.getByRole('row', { name: /Overhang/ })
		.or(page.getByRole('listitem').filter({ hasText: 'Overhang' }))
		.first();
	await expect(overhang).toContainText(/better than 4 of 5|clearly better than 4/i);
});

test('three materials broken by hand along, across and drilled: what each is good for', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(
		server.url,
		'Which bracket?',
		['PLA', 'PETG', 'ABS'].map((material, i) => priced(String(20 + i), { material }))
	);
	const [pla, petg, abs] = spoolIds as [string, string, string];
	const along = { shape: 'bar', orientation: 'flat' };
	const across = { shape: 'bar', orientation: 'upright' };
	const drilled = { ...along, made: 'drilled' };
	for (let n = 0; n < 5; n++) {
		for (const [spoolId, word] of [[pla, 'snaps'], [petg, 'bends'], [abs, 'bends']] as const) await records.brokenByHand(spoolId, along, word); // prettier-ignore
		for (const [spoolId, word] of [[pla, 'bends'], [petg, 'crumbles'], [abs, 'crumbles']] as const) await records.brokenByHand(spoolId, across, word); // prettier-ignore
		for (const [spoolId, word] of [[pla, 'crumbles'], [petg, 'crumbles'], [abs, 'bends']] as const) await records.brokenByHand(spoolId, drilled, word); // prettier-ignore
	}
	const codes = await Promise.all([pla, petg, abs].map((id) => codeOf(id)));
	await open(page, `${server.url}/trials/${trialId}/pick`);
	const good = page.getByRole('region', { name: 'What each is good for' });
	const line = (kind: RegExp) => good.getByRole('listitem').filter({ hasText: kind });
	await expect(line(/bar, flat, by hand(?!, drilled)/)).toContainText(
		new RegExp(`${codes[1]} bends \\([^)]+; n 5\\), ${codes[2]} bends \\([^)]+; n 5\\); behind: ${codes[0]} snaps`)
	);
	await expect(line(/bar, upright/)).toContainText(new RegExp(`${codes[0]} bends \\([^)]+\\); behind: ${codes[1]}`));
	await expect(line(/drilled/)).toContainText(new RegExp(`${codes[2]} bends \\([^)]+\\); behind: ${codes[0]}`));
	await expect(page.getByText(/Three materials|3 materials|materials are in this trial/i).first()).toBeVisible();
});

test('two printers and one spool on both: what the second adds is known and can be taken out', async ({ page }) => {
	const [north, south] = [v7(), v7()];
	for (const [id, name] of [[north, 'North'], [south, 'South']] as const) await records.post('printers', { id, name, nozzle: '0.4 brass' }); // prettier-ignore
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two printers', [priced('20'), priced('20'), priced('20')]);
	const [both, onNorth, onSouth] = spoolIds as [string, string, string];
	for (let n = 0; n < 3; n++) {
		await records.print(both, ladder(65), { printerId: north });
		await records.print(both, ladder(50), { printerId: south });
		await records.print(onNorth, ladder(65), { printerId: north });
		await records.print(onSouth, ladder(50), { printerId: south });
	}
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('region', { name: 'Not a fair comparison' })).toContainText(
		': on North, the others on South: prints, overhang.'
	);
	const adds = page.getByRole('region', { name: 'Printers' });
	await expect(adds).toContainText('Overhang comes out 15.0 ° more on North than on South for the same spools (95 %');
	await expect(adds).toContainText('Marks are not corrected for it');
	// As they stand the spool seen on the worse printer looks worse.
	await records.post('protocols', { trialId, takeOutPrinter: true, printerId: north });
	await open(page, `${server.url}/trials/${trialId}/pick`);
	await expect(page.getByTestId('pick-sentence')).toHaveText(/as good as 2 others|as good as \w+ and \w+/);
	await open(page, `${server.url}/spools/${onSouth}`);
	await expect(page.getByText(/Prints from South are counted as if from North: 15\.00? ° added/)).toHaveCount(1);
});

test('two colours’ calibrations: typed on the spool, offered with a print, and one preset will do', async ({ page }) => {
	const product = { maker: 'Millrace', filament: 'Even' };
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two colours', [
		priced('20', { ...product, colourName: 'oat' }),
		priced('20', { ...product, colourName: 'soot' })
	]);
	const codes = await Promise.all(spoolIds.map(codeOf));
	const calibrate = async (spoolId: string, values: string[]) => {
		await open(page, `${server.url}/spools/${spoolId}`);
		const section = page.getByRole('region', { name: 'Calibrations' });
		await section.locator('summary').click();
		await section.getByRole('button', { name: 'Flow ratio' }).click();
		const field = section.getByRole('textbox', { name: /^Flow ratio of/ });
		await field.focus();
		// Ten times the filament is no flow ratio: it is refused, and stays until it is mended.
		await type(page, '9.7');
		await page.keyboard.press('Enter');
		await expect(section.getByText('9.7 looks wrong for this field.')).toBeVisible();
		await expect(field).toHaveValue('9.7');
		await field.fill('');
		for (const value of values) {
			await type(page, value);
			await page.keyboard.press('Enter');
		}
		await allKept(page);
		await expect(section).toContainText(`n ${values.length}`);
	};
	await calibrate(spoolIds[0] as string, ['0.970', '0.972']);
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('region', { name: 'One preset' })).toHaveCount(0);
	await expect(page.getByRole('columnheader', { name: /Flow ratio/ })).toBeVisible();
	await calibrate(spoolIds[1] as string, ['0.980', '0.979']);
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('region', { name: 'One preset' })).toContainText(
		new RegExp(
			`${codes[0]} and ${codes[1]}: one preset will do: flow ratio 0\\.971 \\(0\\.9\\d+ to 0\\.9\\d+; n 2\\) and 0\\.979 \\(.*; n 2\\)\\.`
		)
	);
	// The next print is offered what was calibrated.
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${spoolIds[1] as string}`);
	await page.getByText('Settings (copied from the last print)').click();
	await expect(page.getByText(/Calibrated: flow 97\.9 %/)).toBeVisible();
	await page.getByRole('button', { name: 'Print with these' }).click();
	await expect(page.getByLabel(/^Flow, %/)).toHaveValue('97.9');
});

test('strings on two models, and a seam that is the printer’s: all prints count, each piece is told, the seam is not charged', async ({
	page
}) => {
	const spikes = await records.piece('Spikes', [{ mark: 'strings', steps: null }]);
	const ship = await records.piece('Small ship', [
		{ mark: 'strings', steps: null },
		{ mark: 'surface', steps: null }
	]);
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two models', [priced('20'), priced('21')]);
	await records.post('protocols', { trialId, pieceIds: [spikes, ship] });
	const [both, onShip] = spoolIds as [string, string];
	for (let n = 0; n < 3; n++) {
		await records.print(both, { strings: 'slight' }, { pieceId: spikes });
		await records.print(both, { strings: 'wisp' }, { pieceId: ship });
	}
	for (let n = 0; n < 3; n++) await records.print(onShip, { strings: 'none' }, { pieceId: ship });
	await open(page, `${server.url}/spools/${both}`);
	const strings = page
		.getByRole('article')
		.filter({ has: page.getByRole('heading', { name: /^Strings/ }) })
		.filter({ hasText: 'n 6' });
	await strings.getByText('why').click();
	await expect(strings).toContainText(/On Spikes 1: slight \(3 prints\)\.\s*On Small ship 1: wisp \(3 prints\)\./);
	await expect(strings).toContainText('Prints of Small ship 1 count as if of Spikes 1');
	// Who was seen on the ship alone stands beside the others, without a flag.
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.locator('tbody tr')).toHaveCount(2);
	await expect(page.getByText(/: test piece .*, the others/)).toHaveCount(0);
	await open(page, `${server.url}/trials/${trialId}/prints/score?piece=${ship}`);
	for (let n = 0; n < 6; n++) {
		await expect(page.getByRole('heading', { name: 'Surface' })).toBeVisible();
		for (const key of ['g', 'g', 'g', 'Shift+G', 'Enter']) await page.keyboard.press(key);
	}
	await expect(page.getByTestId('all-scored')).toBeVisible();
	await allKept(page);
	await open(page, `${server.url}/spools/${onShip}`);
	const surface = page.getByRole('article').filter({ has: page.getByRole('heading', { name: /^Surface/ }) });
	await expect(surface).toContainText('none');
	await surface.getByText('why').click();
	await expect(surface).toContainText('Seam bulge in 3 prints counts against the printer, not the filament.');
});

test('three times as strong, its maker says: held against the house spool as a ratio', async ({ page }) => {
	const { spoolIds } = await makeTrial(server.url, 'What we buy', [priced('20'), priced('30')]);
	const [house, strong] = spoolIds as [string, string];
	await records.post('house-spool', { spoolId: house });
	await open(page, `${server.url}/spools/${strong}`);
	await page.getByText('Add missing details').click();
	const said = page.getByLabel('Stated: how many times as strong');
	await said.fill('much');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(said).toHaveAttribute('aria-invalid', 'true');
	await said.fill('3');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	const codes = await Promise.all([house, strong].map(codeOf));
	await expect(page.getByText(`Said to be 3 times as strong. Load test parts of one kind of it and of ${codes[0]}`)).toBeVisible();
	for (let n = 0; n < 4; n++) for (const [spoolId, newtons] of [[house, 100 + n], [strong, 130 + n]] as const) await records.broken(spoolId, `${newtons} N`); // prettier-ignore
	await open(page, `${server.url}/spools/${strong}`);
	await expect(
		page.getByText(/Said to be 3 times as strong\. Beside \w+, your house spool: 1\.\d+ times .*: less than it is said to be\./)
	).toBeVisible();
});

/** The bench code of a spool. */
async function codeOf(spoolId: string): Promise<string> {
	const found = (await (await fetch(`${server.url}/api/v1/spools?q=`)).json()) as { spools: { id: string; code: string }[] };
	return found.spools.find((s) => s.id === spoolId)?.code ?? 'none';
}
