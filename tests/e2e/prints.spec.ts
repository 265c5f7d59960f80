import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { allKept, api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

type Found = { quantity: string; n: number; figure: { counts?: number[] }; subject: { pieceId: string | null } };
const findingsOf = async (spoolId: string) =>
	((await (await fetch(`${server.url}/api/v1/spools/${spoolId}/findings`)).json()) as { findings: Found[] }).findings;
async function registered(body: object): Promise<string> {
	const id = v7();
	const { status } = await api(server.url, 'pieces', { id, ...body });
	expect(status).toBe(201);
	return id;
}
const print = (spoolId: string, pieceId: string, more: object = {}) =>
	api(server.url, 'attempts', { id: v7(), spoolId, pieceId, outcome: 'finished', at: new Date().toISOString(), ...more });
const LADDER = { from: 40, to: 80, step: 5, slope: 14, width: 9, wall: 7 };

test('a piece is made from sizes by keys, drawn, saved as a closed file, registered, and made better as a new version', async ({
	page
}) => {
	await open(page, `${server.url}/pieces`);
	await page.getByRole('combobox', { name: /^Test piece/ }).selectOption('measuringBlock');
	const facts = page.getByTestId('piece-facts');
	await expect(facts).toContainText('20 × 20 × 20 mm · 8.00 cm³');
	await expect(facts).toContainText('at most 9.9 g, 3.33 m');
	await page.getByLabel('Bore').fill('30');
	await expect(page.getByText('does not fit with the other sizes')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Save', exact: true }).first()).toBeDisabled();
	await page.getByLabel('Bore').fill('10');
	await expect(facts).toContainText('6.43 cm³');
	await page.getByLabel('Bench code on it').fill('ke1');
	const saved = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Save as STL' }).click();
	expect((await saved).suggestedFilename()).toBe('measuring-block-ke1.stl');
	await page.getByLabel('Name', { exact: true }).first().fill('Caliper block');
	await page.keyboard.press('Enter');
	await expect(page.getByText('Caliper block is registered.')).toBeVisible();
	await page.getByLabel('Size X').fill('30');
	await page.getByLabel('New version of').selectOption({ label: 'Caliper block 1' });
	await page.getByRole('button', { name: 'Save', exact: true }).first().click();
	await expect(page.getByText('Caliper block is registered as version 2.')).toBeVisible();
	const list = page.getByRole('region', { name: 'Saved test pieces' });
	await expect(list.getByText('there is a newer version')).toHaveCount(1);
	const href = await list.getByRole('link', { name: '3MF' }).first().getAttribute('href');
	const file = await fetch(server.url + href);
	expect(file.headers.get('content-type')).toBe('model/3mf');
	expect(file.headers.get('content-disposition')).toContain('caliper-block-2.3mf');

	// A model of one's own: its marks and its fingerprint, a slip refused at its field.
	await page.getByLabel('Name', { exact: true }).last().fill('Finder bracket');
	await page.getByRole('checkbox', { name: 'overhang', exact: true }).check();
	await page.getByLabel('Steps of overhang').fill('45 5x 65');
	await page.getByRole('button', { name: 'Save', exact: true }).last().click();
	await expect(page.getByText('Steps of overhang must be numbers')).toBeVisible();
	await page.getByLabel('Steps of overhang').fill('45 55 65');
	await page.getByLabel('Its file').setInputFiles({ name: 'b.stl', mimeType: 'model/stl', buffer: Buffer.from('solid') });
	await page.getByRole('button', { name: 'Save', exact: true }).last().click();
	await expect(list.getByText('overhang 45 to 65')).toBeVisible();
});

/** What is measured is typed into a field. */
const MEASURED = ['Bridge sag', 'Corner lift', 'Small text'];

/** Five pieces beside the ladder, with what is answered of each print, title by title. */
const FIVE_MORE: { name: string; kind: string; params: object; answers: [title: string, ...keys: string[]][] }[] = [
	{
		name: 'Tile',
		kind: 'flatTile',
		params: { wide: 40, deep: 40, thick: 2 },
		answers: [
			['Surface', 'd', 'Enter'],
			['Corner lift', 'x', 'Enter']
		]
	},
	{
		name: 'Spikes',
		kind: 'spikePair',
		params: { gap: 30, high: 40, foot: 10, tip: 2, plate: 2 },
		answers: [
			['Strings', '2'],
			['Surface', 'X']
		]
	},
	{
		name: 'Spans',
		kind: 'bridgeLadder',
		params: { from: 5, to: 40, step: 5, high: 10, width: 6, thick: 1.2, pillar: 6 },
		answers: [
			['Bridge', '2', '0', 'Enter', 'Enter'],
			['Bridge sag', 'x', 'Enter']
		]
	},
	{
		name: 'Bar',
		kind: 'warpBar',
		params: { long: 120, wide: 10, high: 8 },
		answers: [
			['Bed', '3'],
			['Corner lift', '0', '.', '3', 'Enter']
		]
	},
	{
		name: 'Letters',
		kind: 'textPlate',
		params: { from: 8, to: 2, step: 1, thick: 2, raised: 0.6 },
		answers: [['Small text', '3', 'Enter']]
	}
];

test('twelve spools are scored by keys alone, in a chance order, one taken back, one passed over', async ({ page }) => {
	const ladder = await registered({ name: 'Lean', kind: 'overhangLadder', params: LADDER });
	const pieces: Record<string, string> = {};
	for (const { name, kind, params } of FIVE_MORE) pieces[name] = await registered({ name, kind, params });
	const { trialId, spoolIds } = await makeTrial(
		server.url,
		'By keys',
		Array.from({ length: 12 }, () => ({ maker: 'Hidden Reels', filament: 'Secret' }))
	);
	const rules = {
		settingsPolicy: 'label',
		conditionPolicy: 'asReceived',
		valueRule: 'weighted',
		repeats: 1,
		diameterPlaces: 5,
		diameterDirections: 2
	};
	expect((await api(server.url, 'protocols', { id: v7(), trialId, ...rules, pieceIds: [ladder, ...Object.values(pieces)] })).status).toBe(
		201
	);
	for (const spoolId of spoolIds) for (const id of [ladder, ...Object.values(pieces)]) await print(spoolId, id);
	expect((await api(server.url, 'blind', { id: v7(), trialId, blind: true })).status).toBe(201);
	await open(page, `${server.url}/trials/${trialId}/prints/score?piece=${ladder}`);
	await expect(page.locator('body')).not.toContainText('Hidden Reels');
	let presses = 0;
	const press = async (...keys: string[]) => {
		for (const key of keys) {
			presses++;
			await page.keyboard.press(key);
		}
	};
	const code = page.getByTestId('scored-print');
	const order: string[] = [];
	for (let i = 0; i < 12; i++) {
		await expect(page.getByText(`print ${i + 1} of 12`)).toBeVisible();
		order.push((await code.textContent()) ?? '');
		await expect(page.getByRole('heading', { name: 'Overhang' })).toBeVisible();
		// The step itself is typed; the next one is offered as the first faulty.
		await press('6', i === 3 ? '0' : '5', 'Enter', 'Enter');
		await expect(page.getByRole('heading', { name: 'Surface' })).toBeVisible();
		if (i === 3) {
			// One back: it was 65 after all.
			await press('Backspace');
			await expect(page.getByRole('heading', { name: 'Overhang' })).toBeVisible();
			await press('6', '5', 'Enter', 'Enter');
			await expect(page.getByRole('heading', { name: 'Surface' })).toBeVisible();
		}
		if (i === 5) await press('x');
		else await press('a', 'a', 'Enter');
	}
	await expect(page.getByTestId('all-scored')).toContainText('12 prints of this test piece scored');
	expect([...order].sort()).not.toEqual(order);
	for (const { name, answers } of FIVE_MORE) {
		await page.getByRole('combobox', { name: /^Test piece/ }).selectOption({ label: `${name} 1: 12 to score` });
		for (let i = 0; i < 12; i++) {
			await expect(page.getByText(`print ${i + 1} of 12`)).toBeVisible();
			for (const [title, ...keys] of answers) {
				// What is left out of the sitting is left out once.
				if (keys[0] === 'X' && i > 0) continue;
				await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
				if (MEASURED.includes(title)) await expect(page.getByRole('textbox', { name: `${title} of` })).toBeFocused();
				await press(...keys);
			}
		}
		await expect(page.getByTestId('all-scored')).toBeVisible();
	}
	// Keys are faster than hundreds of commits: the outbox takes its time, and the sitting did not wait for it.
	await expect(page.getByTestId('outbox')).toHaveText('all saved');
	// Twelve spools, six pieces: all presses of this sitting, one every second and a half, stay under half an hour.
	expect(presses * 1.5).toBeLessThan(30 * 60);
	for (const spoolId of spoolIds) {
		const found = await findingsOf(spoolId);
		const of = (quantity: string, pieceId: string) => found.find((f) => f.quantity === quantity && f.subject.pieceId === pieceId);
		expect(of('overhang', ladder)).toMatchObject({ n: 1, figure: { lastClean: [65] } });
		expect(of('strings', pieces.Spikes ?? '')).toMatchObject({ n: 1, figure: { counts: [0, 1, 0, 0] } });
		expect(of('cornerLift', pieces.Bar ?? '')).toMatchObject({ n: 1, figure: { points: [0.3] } });
		expect(of('bridge', pieces.Spans ?? '')).toMatchObject({ n: 1, figure: { lastClean: [20] } });
	}
	const surfaces = (await Promise.all(spoolIds.map(findingsOf)))
		.flat()
		.filter((f) => f.quantity === 'surface' && f.subject.pieceId === ladder);
	// The tile carries a surface as well and counts beside the ladder; of the print passed over it speaks alone.
	const seen = surfaces.map((f) => `${f.n} ${f.figure.counts?.join('')}`).sort();
	expect(seen).toEqual(['1 0100', ...Array.from({ length: 11 }, () => '2 0010')]);
});

test('a piece made better in mid-trial: the older version still shows, and is flagged as another one', async ({ page }) => {
	const first = await registered({ name: 'Lean', kind: 'overhangLadder', params: LADDER });
	const second = await registered({ name: 'Lean', kind: 'overhangLadder', params: { ...LADDER, step: 10 }, replaces: first });
	const { trialId, spoolIds } = await makeTrial(server.url, 'Better piece', [{}, {}]);
	const [a, b] = spoolIds as [string, string];
	await print(a, first, { marks: { overhangLastClean: '60', overhangFirstFaulty: '65' } });
	await print(b, second, { marks: { overhangLastClean: '60', overhangFirstFaulty: '70' } });
	await open(page, `${server.url}/trials/${trialId}/rules`);
	await page.getByRole('checkbox', { name: 'Lean 2' }).check();
	await page.getByRole('checkbox', { name: 'Step piece 1' }).uncheck();
	await page.getByRole('button', { name: 'Save rules' }).click();
	await expect(page.getByText('The rules are saved as a new version')).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(/test piece Lean [12], the others Lean [12]: .*overhang/)).toBeVisible();
});

test('marks of the other spools come after the page and are there when the server is away', async ({ page }) => {
	const ladder = await registered({ name: 'Fetched', kind: 'overhangLadder', params: LADDER });
	const { trialId, spoolIds } = await makeTrial(server.url, 'Fetched marks', [{ benchCode: 'QQ1' }, { benchCode: 'QQ2' }]);
	const [a, b] = spoolIds as [string, string];
	await print(b, ladder, { marks: { overhangLastClean: '55', overhangFirstFaulty: '65' } });
	const address = `${server.url}/trials/${trialId}/prints?spool=`;
	// Counted where it is not opened, with its marks only where it is.
	const served = async (id: string) => /typedText[\\"`]+:[\\"`]+55/.test(await (await fetch(`${address}${id}`)).text());
	expect([await served(a), await served(b)]).toEqual([false, true]);
	const fetched = page.waitForResponse((r) => r.url().includes(`/spools/${b}/evidence?station=prints`));
	await open(page, `${address}${a}`);
	await (await fetched).finished();
	await page.context().setOffline(true);
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('QQ2');
	await expect(page.getByText(/clean .*55/).first()).toBeVisible();
	await page.context().setOffline(false);
});

test('bed, agent and profile are copied forward, a difference is flagged as unlike', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Set up', [{}, {}]);
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${spoolIds[0]}`);
	const settings = page.getByText('Settings (copied from the last print)');
	const keepOne = async (page: Page, overhang: string) => {
		await page.getByLabel('Overhang, last clean').fill(overhang);
		await page.keyboard.press('Control+Enter');
		await expect(page.getByText(/^Saved: /)).toBeVisible();
	};
	await settings.click();
	await page.getByLabel('Bed surface').fill('glass');
	await page.getByLabel('Room', { exact: true }).fill('warm');
	await page.getByLabel('Overhang, last clean').fill('60');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText('Room is not a temperature such as 50 C')).toBeVisible();
	await page.getByLabel('Room', { exact: true }).fill('19 C');
	await keepOne(page, '60');
	await page.goto(`${server.url}/trials/${trialId}/prints?spool=${spoolIds[1]}`);
	await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	await settings.click();
	await expect(page.getByLabel('Bed surface')).toHaveValue('glass');
	await page.getByLabel('Bed surface').fill('spring steel');
	await keepOne(page, '65');
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(/bed surface (glass, the others spring steel|spring steel, the others glass)/)).toBeVisible();
});

test('a spool printed on both printers tells what a printer adds; the rules take it out and the flag goes', async ({ page }) => {
	const printers = [v7(), v7()];
	for (const [i, name] of ['East', 'West'].entries()) await api(server.url, 'printers', { id: printers[i], name, nozzle: '0.4 brass' });
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two printers', [{}, {}]);
	const on = (spool: number, printer: number, degrees: string) =>
		print(spoolIds[spool] as string, '01900000-0000-7000-8000-000000000001', {
			printerId: printers[printer],
			marks: { overhangLastClean: degrees }
		});
	await on(0, 1, '65');
	await on(1, 0, '55');
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText('No spool was printed on both printers')).toBeVisible();
	for (const degrees of ['55', '50']) await on(0, 0, degrees);
	await on(0, 1, '60');
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(/Overhang comes out 10\.0 ° less on East than on West for the same spools/)).toBeVisible();
	await expect(page.getByText(/on (East, the others on West|West, the others on East): .*overhang/)).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}/rules`);
	await page.getByText('Correct for printer differences').click();
	await page.getByRole('button', { name: 'Save rules' }).click();
	await expect(page.getByText('The rules are saved as a new version')).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(/Marks are corrected for it\./)).toBeVisible();
	await expect(page.getByText(/, the others on .*overhang/)).toBeHidden();
});

test('two ways are held against each other as pairs; what else differs is named', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Fan', [{}, {}, {}]);
	const step = '01900000-0000-7000-8000-000000000001';
	for (const [i, spoolId] of spoolIds.entries())
		for (const [fanPct, degrees] of [
			[0, '50'],
			[60, '60'],
			[0, '55'],
			[60, '65']
		] as const)
			await print(spoolId, step, {
				settings: { fanPct, ...(i === 2 ? { nozzleC: 230 + fanPct } : {}) },
				marks: { overhangLastClean: degrees }
			});
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByRole('link', { name: 'compare', exact: true }).click();
	await page.getByLabel('What differs').selectOption('fanPct');
	await expect(page.getByTestId('way-overhang')).toHaveText(
		/60 % did better than 0 %: 6 better, 0 worse, 0 the same of 6 pairs \(exact sign test, p = 0.031/
	);
	await expect(page.getByText(/Not only this differs within pairs: nozzle too/)).toBeVisible();
	await page.getByLabel('From').selectOption('60');
	await expect(page.getByTestId('way-overhang')).toContainText('0 % did worse than 60 %');
});

test('two scorers of the same prints: each scores blind of the other, and how they agree is told', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Two scorers', [{}, {}, {}]);
	const spikes = await registered({ name: 'Pair', kind: 'spikePair', params: { gap: 30, high: 40, foot: 10, tip: 2, plate: 2 } });
	for (const spoolId of spoolIds) await print(spoolId, spikes);
	const score = async (scorer: string, words: string[]) => {
		await open(page, `${server.url}/trials/${trialId}/prints/score?piece=${spikes}`);
		await page.getByLabel('Who scores').fill(scorer);
		await page.getByRole('combobox', { name: /^scores/ }).selectOption('after');
		await page.getByRole('heading', { name: 'Score prints' }).click();
		for (const [i, word] of words.entries()) {
			await expect(page.getByText(`print ${i + 1} of 3`)).toBeVisible();
			await page.keyboard.press(word);
			await expect(page.getByRole('heading', { name: 'Surface' })).toBeVisible();
			await page.keyboard.press('x');
		}
		await expect(page.getByTestId('all-scored')).toBeVisible();
		await allKept(page);
	};
	await score('Ines', ['1', '2', '4']);
	await score('Jonas', ['1', '3', '4']);
	await expect(
		page.getByText(/Strings: Ines and Jonas agree nearly always \(kappa 0\.\d\d, 95 % .*; 3 prints\)\. No clear difference/)
	).toBeVisible();
	const strings = (await Promise.all(spoolIds.map(findingsOf)))
		.flat()
		.filter((f) => f.quantity === 'strings' && f.subject.pieceId === spikes);
	expect(strings.map((f) => f.n)).toEqual([1, 1, 1]);
});

test('photographs of two spools are added, refused in words, and held under one slider', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Photographed', [{}, {}]);
	const step = '01900000-0000-7000-8000-000000000001';
	const picture = (colour: string) =>
		sharp({ create: { width: 640, height: 480, channels: 3, background: colour } })
			.jpeg()
			.toBuffer();
	for (const [i, spoolId] of spoolIds.entries()) {
		await print(spoolId, step);
		await open(page, `${server.url}/trials/${trialId}/prints?spool=${spoolId}`);
		const field = page.getByLabel(/^Photograph of Step piece/);
		if (i === 0) {
			await field.setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('dear diary') });
			await expect(page.getByRole('alert').filter({ hasText: 'notes.jpg' })).toContainText('no JPEG, PNG or WebP picture');
		}
		await field.setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: await picture(i ? '#336699' : '#993322') });
		await expect(page.getByRole('img', { name: /^Photograph 1 of Step piece/ })).toBeVisible();
	}
	await page.getByRole('link', { name: 'photographs', exact: true }).click();
	await expect(page.getByRole('button', { name: /as received/ })).toHaveCount(2);
	await page
		.getByRole('button', { name: /as received/ })
		.first()
		.click();
	await page
		.getByRole('button', { name: /as received/ })
		.last()
		.click();
	const slider = page.getByRole('slider');
	await slider.focus();
	await page.keyboard.press('Home');
	await expect(slider).toHaveValue('0');
});

test('what is left to print: spools take turns or one by one, and a small sample says what it covers', async ({ page }) => {
	const ladder = await registered({ name: 'Queue ladder', kind: 'overhangLadder', params: LADDER });
	const tile = await registered({ name: 'Queue tile', kind: 'flatTile', params: { wide: 40, deep: 40, thick: 2 } });
	const { trialId, spoolIds } = await makeTrial(server.url, 'Queue', [{ netMass: '12 g' }, { netMass: '1 kg' }]);
	const rules = {
		settingsPolicy: 'label',
		conditionPolicy: 'asReceived',
		valueRule: 'weighted',
		repeats: 1,
		diameterPlaces: 5,
		diameterDirections: 2
	};
	await api(server.url, 'protocols', { id: v7(), trialId, ...rules, pieceIds: [ladder, tile] });
	await print(spoolIds[1] as string, ladder);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByRole('link', { name: 'print queue' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Queue' })).toHaveCount(4);
	await expect(page.getByText(/covers 1 of 2: 1 × Queue tile 1; not 1 × Queue ladder 1/)).toBeVisible();
	await page.getByRole('radio', { name: /spool by spool/ }).check();
	await expect(page.getByText('1 change, about 5 min')).toBeVisible();
});
