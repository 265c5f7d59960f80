import { expect, test, type Page } from '@playwright/test';
import { v7 } from 'uuid';
import { lineGaugeFile } from '../../src/lib/standins/line-gauge';
import { allKept, api, makeTrial, open, tabTo, type } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start({ env: { DRAUGHT_INSTANCE: 'demo' } })));
test.afterAll(() => server.stop());

const enter = async (page: Page, text: string) => {
	await type(page, text);
	await page.keyboard.press('Enter');
};
async function instrument(name: string, errorLimit: string, resolution: string): Promise<string> {
	const id = v7();
	await api(server.url, 'instruments', { id, name, errorLimit, resolution });
	return id;
}
const saying = (page: Page) => page.getByTestId('diameter-sentence');

test('a quick check with a common caliper by keys: told in one sentence that it cannot decide, and what could', async ({ page }) => {
	const caliper = await instrument('Bench caliper', '0.02 mm', '0.01 mm');
	const { trialId } = await makeTrial(server.url, 'Caliper', [{ labelTolerance: '0.02 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.getByLabel('Instrument').selectOption(caliper);
	await expect(page.getByTestId('instrument-line')).toContainText('cannot confirm ±0.02 mm');
	await page.getByRole('textbox', { name: /^Diameter of/ }).focus();
	for (const mm of ['1.75', '1,76', '1.74', '1.75', '1.76', '1.75', '1.75', '0.0689 in', '1.75', '1.76']) await enter(page, mm);
	await expect(page.getByText('The quick check is complete.')).toBeVisible();
	await expect(saying(page)).toContainText('More readings will not show whether it meets');
	await expect(saying(page)).toContainText('Check it ten times on a pin');
	await allKept(page);
	// As the sentence says: ten readings of a pin, in the workshop, by keys.
	await open(page, `${server.url}/workshop`);
	await tabTo(page, 'check it against a pin');
	await page.keyboard.press('Enter');
	await tabTo(page, 'Size of the pin');
	await type(page, '1.700 mm');
	await tabTo(page, 'Readings of it');
	await type(page, '1.71 1.70 1.71 17.1');
	await page.keyboard.press('Enter');
	await expect(page.getByText('no. 4 (17.1) is over 1 mm from the reference')).toBeVisible();
	await page.keyboard.press('Control+A');
	await type(page, '1.71 1.70 1.71 1.71 1.70 1.71 1.70 1.71 1.71 1.70');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/against 1.7 mm: shows \+0\.006/)).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await expect(page.getByText(/it shows \+0\.006/)).toBeVisible();
	await expect(saying(page)).not.toContainText('no number of readings');
});

test('a claim test by keys: planned, redrawn, decided over the whole spool', async ({ page }) => {
	const micrometer = await instrument('Micrometer', '0.002 mm', '0.001 mm');
	const { trialId } = await makeTrial(server.url, 'Claim', [{ labelTolerance: '0.02 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.getByLabel('Instrument').selectOption(micrometer);
	await page.getByRole('radio', { name: /full test/ }).focus();
	await page.keyboard.press('Space');
	await expect(page.getByTestId('claim-plan')).toContainText(/About \d+ more of \d+/);
	await expect(page.getByRole('textbox', { name: /^Diameter of/ })).toBeFocused();
	const next = (i: number) => (1.75 + 0.004 * Math.sin(i * 2.4)).toFixed(3);
	let i = 0;
	for (const zone of [/first metres/, /middle of the spool/, /near the end/]) {
		await page.getByRole('radio', { name: zone }).focus();
		await page.keyboard.press('Space');
		await page.getByRole('textbox', { name: /^Diameter of/ }).focus();
		for (let k = 0; k < 6; k++) await enter(page, next(i++));
	}
	await expect(page.getByTestId('claim-plan')).toContainText('Decided after 18 readings');
	await expect(saying(page)).toContainText('It meets the label’s ±0.02 mm');
	await allKept(page);
	await page.reload();
	await expect(saying(page)).toContainText('It meets the label’s ±0.02 mm');
});

const strand = {
	meanMm: 1.751,
	driftMmPer100M: 0.002,
	periodicity: { periodM: 1.9, amplitudeMm: 0.006 },
	wander: { sdMm: 0.003, lengthM: 5 },
	noiseMm: 0.001,
	thickSpots: [{ atM: 120, overMm: 0.25, lengthM: 0.3 }]
};
const gauge = { stepM: 0.002, resolutionMm: 0.001, axes: 2 as const, ovalityMm: 0.004 };
const fileOf = (text: string, name = 'gauge.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a gauge’s log: a fault in row 17 changes nothing; cancelled, broken off, gone on with, taken in and looked into', async ({
	page
}) => {
	const lineGauge = await instrument('Line gauge', '0.003 mm', '0.001 mm');
	const { trialId } = await makeTrial(server.url, 'Logged', [{ labelTolerance: '0.03 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.getByLabel('Instrument').selectOption(lineGauge);
	const text = lineGaugeFile(strand, gauge, 120_000, 5);
	const faulty = text.split('\n');
	faulty[16] = '0.03,1.75,wet';
	await page.getByLabel('File of a gauge').setInputFiles(fileOf(faulty.slice(0, 60).join('\n'), 'faulty.csv'));
	await page.getByRole('button', { name: 'Import log' }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'Nothing was stored' })).toContainText('row 17: "wet" is not a number');
	await expect(saying(page)).toContainText('No reading yet');

	// The second slice does not get through: what arrived stays, and the same file goes on from there.
	let cut = true;
	const sent: string[] = [];
	await page.route('**/slices/*', async (route) => {
		const k = route.request().url().split('/').at(-1) ?? '';
		if (cut && k === '1') return await route.abort();
		sent.push(k);
		await route.continue();
	});
	await page.getByLabel('File of a gauge').setInputFiles(fileOf(text));
	await page.getByRole('button', { name: 'Import log' }).click();
	await expect(page.getByText('The connection broke off')).toBeVisible({ timeout: 20_000 });
	expect(sent).toEqual(['0']);
	cut = false;
	await page.getByRole('button', { name: 'Go on' }).click();
	await expect(saying(page)).toContainText('It meets the label’s ±0.03 mm');
	expect(sent.filter((k) => k === '0')).toHaveLength(1);
	await expect(page.getByText('1 thickening may jam')).toBeVisible();
	await expect(page.getByText(/It comes and goes every 1\.9/)).toBeVisible();

	const picture = page.getByRole('img', { name: /^Strand of/ });
	// Pressed faster than the pictures come: each press goes on from where the last one leads.
	await picture.focus();
	for (let i = 0; i < 7; i++) await page.keyboard.press('+');
	await expect(page.getByText('single readings')).toBeVisible();
	await page.keyboard.press('Home');
	await expect(page.getByText('no thickening lost')).toBeVisible();

	// The thickening was the gauge being touched: that part is left out, and can come back.
	await page.getByRole('button', { name: 'Exclude a part' }).click();
	await page.getByLabel('From metre').fill('119');
	await page.getByLabel('to metre').fill('121,5');
	await page.keyboard.press('Enter');
	await expect(page.locator('#leave-reason-error')).toContainText('Give a reason');
	await page.getByLabel('Why').fill('somebody touched the gauge');
	await page.keyboard.press('Enter');
	await expect(page.getByText('Left out: 119 to 121.5 m, somebody touched the gauge.')).toBeVisible();
	await expect(page.getByText('1 thickening may jam')).toBeHidden();
	await page.getByRole('button', { name: 'Restore' }).click();
	await expect(page.getByText('1 thickening may jam')).toBeVisible();

	await page.getByRole('button', { name: 'Mark this log invalid' }).click();
	await expect(saying(page)).toContainText('No reading yet');
	await page.getByRole('button', { name: 'Restore' }).click();
	await expect(saying(page)).toContainText('It meets the label’s');
});

test('pasted readings: row 17 is named and nothing taken; corrected, all are kept', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Pasted', [{ labelTolerance: '0.02 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.getByText('Paste readings').click();
	const rows = Array.from({ length: 20 }, (_, i) => `${i * 10}\t1.75${i % 9}\t${i === 16 ? 'damp' : '1.749'}`);
	await page.getByLabel('One row per spot').fill(rows.join('\n'));
	await page.getByRole('button', { name: /^Save/ }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'Nothing was stored' })).toContainText('row 17: "damp" is not a number');
	await page.getByLabel('One row per spot').fill(rows.join('\n').replace('damp', '1.748'));
	await page.getByRole('button', { name: 'Save 40 readings' }).click();
	await expect(page.getByText('40 readings saved.')).toBeVisible();
	await allKept(page);
	const { findings } = (await (await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/findings`)).json()) as {
		findings: { quantity: string; n: number; messages: { id: string; params: Record<string, unknown> }[] }[];
	};
	expect(findings.find((f) => f.quantity === 'diameterMean')?.n).toBe(40);
	expect(findings.find((f) => f.quantity === 'diameterSpread')?.messages.find((m) => m.id.startsWith('drift'))?.params).toMatchObject({
		per: 'metre',
		n: 20
	});
});

test('a log can be cancelled on its way, and nothing of it is left', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Cancelled', [{ labelTolerance: '0.03 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	let logId = '';
	let release: () => void = () => {};
	const held = new Promise<void>((resolve) => (release = resolve));
	await page.route('**/slices/*', async (route) => {
		logId = /logs\/([^/]+)/.exec(route.request().url())?.[1] ?? '';
		await held;
		await route.continue().catch(() => {});
	});
	await page.getByLabel('File of a gauge').setInputFiles(fileOf(lineGaugeFile(strand, gauge, 3000, 6)));
	await page.getByRole('button', { name: 'Import log' }).click();
	await expect(page.getByRole('button', { name: 'Cancel' })).toBeVisible();
	await expect.poll(() => logId).not.toBe('');
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByText('Cancelled; nothing stored.')).toBeVisible();
	release();
	await expect.poll(async () => (await fetch(`${server.url}/api/v1/logs/${logId}`)).status).toBe(404);
	const { findings } = (await (await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/findings`)).json()) as {
		findings: { quantity: string; n: number }[];
	};
	expect(findings.find((f) => f.quantity === 'diameterMean')?.n).toBe(0);
});

test('in the demo a made-up caliper types through the same door, and spools stand on one scale', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Made up', [{ labelTolerance: '0.02 mm' }, { labelTolerance: '0.02 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	for (let k = 0; k < 2; k++) {
		await page.getByRole('button', { name: /a caliper types/ }).click();
		await expect(page.getByText('The quick check is complete.')).toBeVisible({ timeout: 15_000 });
		await page.getByRole('textbox', { name: /^Diameter of/ }).focus();
		await page.keyboard.press('ArrowDown');
	}
	await allKept(page);
	await page.getByRole('link', { name: 'All spools on one scale' }).click();
	await expect(page.getByTestId('between-sentence')).toContainText(/mean diameter/);
	await expect(page.getByRole('img', { name: /10 spots|5 spots/ })).toHaveCount(2);
});

test('in the demo a made-up line gauge measures live: drawn as it comes, kept although the server is away for a while', async ({
	page
}) => {
	const { trialId } = await makeTrial(server.url, 'Live', [{ labelTolerance: '0.05 mm' }]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	let away = true;
	let tries = 0;
	await page.route('**/slices/*', async (route) => {
		tries++;
		if (away) await route.abort();
		else await route.continue();
	});
	await page.getByRole('button', { name: 'a line gauge measures live' }).click();
	const live = page.getByRole('region', { name: 'The gauge measures' });
	await expect(live.getByRole('img', { name: /^Strand so far/ })).toBeVisible();
	await expect.poll(() => tries).toBeGreaterThan(1);
	await expect(live).toContainText('taking it in');
	away = false;
	await expect(page.getByRole('img', { name: /^Strand of .* 0 to 119.99 m/ })).toBeVisible({ timeout: 20_000 });
	await expect(page.getByText('1 thickening may jam')).toBeVisible();
	await expect(saying(page)).toContainText('the label’s ±0.05 mm');
});

test('a gauge study by keys: who reads where, a slip refused, taken back, closed and gone on with, kept', async ({ page }) => {
	const id = await instrument('Studied caliper', '0.02 mm', '0.01 mm');
	await open(page, `${server.url}/workshop/gauge-study/${id}`);
	await tabTo(page, 'Who measures');
	await type(page, 'Ines, Ines');
	await page.keyboard.press('Enter');
	await expect(page.getByText('must differ from each other')).toBeVisible();
	await page.keyboard.press('Control+A');
	await type(page, 'Ines, Jonas');
	await tabTo(page, 'Marked spots');
	await page.keyboard.press('Control+A');
	await type(page, '3');
	await tabTo(page, 'Rounds');
	await page.keyboard.press('Control+A');
	await type(page, '2');
	await page.keyboard.press('Enter');
	const step = page.getByTestId('study-step');
	await expect(step).toContainText('Ines');
	await expect(page.getByRole('textbox', { name: /^Reading of spot/ })).toBeFocused();
	await enter(page, '17.5');
	await expect(page.getByText('Did you mean 1.75')).toBeVisible();
	await page.keyboard.press('Control+A');
	await enter(page, '1.99');
	await expect(step).toContainText('1 of 12 read');
	await page.keyboard.press('Backspace');
	await expect(step).toContainText('0 of 12 read');
	// What a spot is shows in its reading; Jonas presses harder by 0.03 mm.
	const read = async () => {
		const text = (await step.textContent()) ?? '';
		const place = Number(/spot (\d)/.exec(text)?.[1]);
		await enter(page, (1.7 + place * 0.02 - (text.includes('Jonas') ? 0.03 : 0)).toFixed(2));
	};
	for (let i = 0; i < 5; i++) {
		await expect(step).toContainText(`${i} of 12 read`);
		await read();
	}
	// Closed in the middle: what was typed is still there, and the order is the same.
	await expect(step).toContainText('5 of 12 read');
	const before = await step.textContent();
	await page.reload();
	await expect(step).toHaveText(before ?? '');
	await page.getByRole('textbox', { name: /^Reading of spot/ }).focus();
	for (let i = 5; i < 12; i++) {
		await expect(step).toContainText(`${i} of 12 read`);
		await read();
	}
	await expect(page.getByText('Most of it is one person against another')).toBeVisible();
	await page.getByRole('button', { name: 'Save study' }).click();
	await expect(page.getByRole('heading', { name: /Ines, Jonas, in force/ })).toBeVisible();
	await open(page, `${server.url}/workshop`);
	await expect(page.getByText(/gauge study .*people differ by 0\.02/)).toBeVisible();
});

test('a link that is followed while kept readings settle is not dropped', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Away at once', [{}]);
	await page.clock.install();
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.keyboard.type('1.75');
	await page.keyboard.press('Enter');
	await allKept(page);
	let release: () => void = () => undefined;
	const held = new Promise<void>((done) => (release = done));
	await page.route('**/rules/__data.json*', async (route) => {
		await held;
		await route.continue();
	});
	const asked = page.waitForRequest('**/rules/__data.json*');
	await page.getByRole('link', { name: 'Rules' }).click();
	await asked;
	// The page would load its data anew now.
	await page.clock.runFor(5000);
	release();
	await expect(page.getByRole('heading', { name: 'Rules of this trial' })).toBeVisible();
});
