import { expect, test, type Page } from '@playwright/test';
import { v7 } from 'uuid';
import { allKept, api, makeTrial, open, tabTo, type } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const HOUR = 3_600_000;
const ago = (hours: number) => new Date(Date.now() - hours * HOUR).toISOString();
const enter = async (page: Page, text: string) => {
	await type(page, text);
	await page.keyboard.press('Enter');
};
type Found = {
	findings: {
		quantity: string;
		n: number;
		estimate: number | null;
		method: string;
		figure: { loads?: { low: number; high: number | null }[] };
	}[];
};
async function found(spoolId: string, quantity: string) {
	const answer = (await (await fetch(`${server.url}/api/v1/spools/${spoolId}/findings`)).json()) as Found;
	return answer.findings.find((f) => f.quantity === quantity);
}

test('a weighing series by keys: what lay before is inferred, said otherwise, and the tare found later', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Water', [{}]);
	const spoolId = spoolIds[0] as string;
	await api(server.url, 'readings', { id: v7(), spoolId, quantity: 'grossMass', typed: '1300.0 g', takenAt: ago(72) });
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await expect(page.getByRole('textbox', { name: /Full spool of/ })).toBeFocused();
	await expect(page.getByText('automatic: air')).toBeVisible();
	await enter(page, '1300,8');
	await expect(page.getByTestId('moisture-sentence')).toContainText(/^\s*Water since the start: \+0\.8 ± [\d.]+ g \(filament/);
	await expect(page.getByRole('row', { name: /1300,8/ })).toContainText('+0.8 g');

	// A print took filament: said by key before the next weighing, though no print is on record.
	await tabTo(page, /^automatic/);
	await page.keyboard.press('ArrowRight');
	await page.getByRole('textbox', { name: /Full spool of/ }).focus();
	await enter(page, '1280.0');
	await expect(page.getByRole('row', { name: /1280\.0/ })).toContainText('filament used');
	await expect(page.getByTestId('moisture-sentence')).toContainText(/^\s*Water since the start: \+0\.8 ± [\d.]+ g \(filament/);
	await expect(page.getByText('for every likely empty spool')).toBeVisible();

	await enter(page, '5 stone');
	await expect(page.getByText('has an unknown unit')).toBeVisible();
	await page.keyboard.press('Control+A');
	await enter(page, '1280.4');
	await page.keyboard.press('Backspace');
	await expect(page.getByText(/^Marked invalid:/)).toContainText('1280.4');

	await page.getByRole('radio', { name: 'empty spool' }).focus();
	await page.keyboard.press('Space');
	await page.getByRole('textbox', { name: /Empty spool of/ }).focus();
	await enter(page, '1290');
	await expect(page.getByText('must be less than the last weighing')).toBeVisible();
	await page.keyboard.press('Control+A');
	await enter(page, '230 g');
	await allKept(page);
	await expect(page.getByRole('main')).toContainText(/empty spool.* 230 g ·/);
	expect((await found(spoolId, 'waterUptake'))?.estimate).toBeCloseTo((0.8 / 1070) * 100, 6);
});

test('two weighings a minute apart and 7 g lighter are asked about; pressed again it is meant', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Jump', [{}, {}]);
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await enter(page, '998');
	await enter(page, '991');
	await expect(page.getByText('991 is 7 g less than a moment ago, with nothing in between. If it is right, save it again')).toBeVisible();
	await expect(page.getByRole('row', { name: /991/ })).toHaveCount(0);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('row', { name: /991/ })).toBeVisible();
	// Asked of another spool and left, it is asked again.
	await page.keyboard.press('ArrowDown');
	await enter(page, '998');
	await enter(page, '991');
	await expect(page.getByText('991 is 7 g less than a moment ago')).toBeVisible();
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await expect(page.getByText('991 is 7 g less than a moment ago')).toBeVisible();
	await expect(page.getByRole('row', { name: /991/ })).toHaveCount(0);
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('Control+A');
	await page.keyboard.press('Delete');
	// In ounces the same again is what it was, and a number is in ounces.
	await page.getByRole('button', { name: 'oz', exact: true }).click();
	await page.keyboard.press('=');
	await expect(page.getByRole('row', { name: /air 991 g/ })).toBeVisible();
	await enter(page, '34.9');
	await expect(page.getByRole('row', { name: /34\.9 oz/ })).toBeVisible();
	await page.reload();
	await expect(page.getByRole('button', { name: 'oz', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('what lay before a weighing is corrected on the page', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Corrected', [{}]);
	for (const [typed, hours] of [
		['1300.0 g', 30],
		['1299.0 g', 5]
	] as const)
		await api(server.url, 'readings', { id: v7(), spoolId: spoolIds[0], quantity: 'grossMass', typed, takenAt: ago(hours) });
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await expect(page.getByTestId('moisture-sentence')).toContainText(/^\s*Water since the start: −1\.0 ± [\d.]+ g \(filament/);
	await page.getByLabel('Before the weighing of 1299 g').selectOption('print');
	await expect(page.getByTestId('moisture-sentence')).toContainText('Only printing happened between these weighings');
	await page.reload();
	await expect(page.getByLabel('Before the weighing of 1299 g')).toHaveValue('print');
});

test('a bucket test by keys: steps, what broke it, the bucket counted, the next specimen', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Hooks', [{}, {}]);
	await open(page, `${server.url}/trials/${trialId}/strength`);
	await enter(page, '10 lb');
	await expect(page.getByText('First enter what you are loading')).toBeVisible();
	await page.keyboard.press('Shift+Tab');
	await tabTo(page, 'Test part');
	await type(page, 'hook');
	await tabTo(page, 'Bucket (added to every load)');
	await type(page, '0.5 kg');
	await tabTo(page, /^Load on/);
	await page.keyboard.press('Control+A');
	for (const load of ['10 lb', '15', '20', '25 x']) await enter(page, load);
	await expect(page.getByText('How did it fail?')).toBeVisible();
	await page.keyboard.press('d');
	await expect(page.getByText('How did it fail?')).toBeHidden();
	await expect(page.getByRole('textbox', { name: /^Load on/ })).toBeFocused();
	await expect(page.getByRole('textbox', { name: /^Load on/ })).toHaveValue('');
	await enter(page, '10');
	await enter(page, '5');
	await expect(page.getByText('is not more than the last step')).toBeVisible();
	await page.keyboard.press('Control+A');
	for (const load of ['20', '30 x']) await enter(page, load);
	await enter(page, '10');
	await enter(page, '35 lb x');
	await allKept(page);
	const strength = await found(spoolIds[0] as string, 'strengthLoad');
	expect(strength?.n).toBe(3);
	const newton = (lb: number) => lb * 0.45359237 * 9.80665 + 0.5 * 9.80665;
	expect(strength?.figure.loads).toHaveLength(3);
	const rounded = (strength?.figure.loads ?? []).map((l) => [l.low.toFixed(6), l.high?.toFixed(6)]);
	expect(rounded).toEqual(
		[
			[20, 25],
			[20, 30],
			[10, 35]
		].map((pair) => pair.map((lb) => newton(lb).toFixed(6)))
	);
	await page.reload();
	await expect(page.getByText('layers parted')).toBeVisible();
	await expect(page.getByText('3 test parts').first()).toBeVisible();
});

test('an open bucket test survives a lost server: nothing that was typed is lost or doubled', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Lost', [{}]);
	await open(page, `${server.url}/trials/${trialId}/strength`);
	await page.getByLabel('Test part').fill('bar');
	await page.getByRole('textbox', { name: /^Load on/ }).focus();
	await enter(page, '40 N');
	await allKept(page);
	await server.kill();
	await enter(page, '60');
	await enter(page, '80 x');
	await expect(page.getByTestId('outbox')).toContainText('waiting');
	await server.run();
	await allKept(page);
	expect((await found(spoolIds[0] as string, 'strengthLoad'))?.figure.loads).toEqual([{ low: 60, high: 80 }]);
});

test('the dryer’s timer goes on through reload, restart and on another device, and tells when it is over', async ({ page, browser }) => {
	const { trialId } = await makeTrial(server.url, 'Dry', [{ material: 'PLA' }, { material: 'PETG' }]);
	const dryerId = v7();
	await api(server.url, 'dryers', { id: dryerId, name: 'Low box', setPointHigh: '60 C' });
	const codes = await page.request
		.get(`${server.url}/api/v1/trials/${trialId}/findings`)
		.then(async (r) => ((await r.json()) as { spools: { code: string }[] }).spools.map((s) => s.code));
	await open(page, `${server.url}/trials/${trialId}/drying`);
	for (const code of codes) await page.getByRole('checkbox', { name: new RegExp(code) }).check();
	// Two materials in one load take the lower limit.
	await expect(page.getByText('PLA limits this run: at most 50 °C, from 4 h on')).toBeVisible();
	await expect(page.getByLabel('Temperature')).toHaveValue('50 C');
	await expect(page.getByLabel('Time')).toHaveValue('4 h');
	await page.getByLabel('Temperature').fill('58 C');
	await expect(page.getByText('PLA softens at 55 °C: not started.')).toBeVisible();
	await page.getByRole('button', { name: 'Start the timer' }).click();
	await expect(page.getByText(/Too hot: PLA softens/).first()).toBeVisible();
	await page.getByLabel('Temperature').fill('50');
	await page.getByRole('button', { name: 'Start the timer' }).click();
	await expect(page.getByText(/^Started: /)).toBeVisible();
	await expect(page.getByTestId('dryers')).toContainText(/3 h 59 min left|4 h left/);

	await page.reload();
	await expect(page.getByTestId('dryers')).toContainText('min left');
	await server.kill();
	await server.run();
	const other = await (await browser.newContext()).newPage();
	// Its clock is ours: it asks for the dryers every half minute.
	await other.clock.install();
	await open(other, `${server.url}/handbook`);
	await expect(other.getByTestId('dryers')).toContainText('min left');
	await expect(other.getByTestId('dryer-notice')).toBeEmpty();

	// Another load went in five hours ago for four: the other device tells it without being touched.
	const third = (await makeTrial(server.url, 'Dry too', [{ material: 'PLA' }])).spoolIds[0] as string;
	const started = { id: v7(), dryerId, spoolIds: [third], setPoint: '45 C', duration: '4 h', at: ago(5) };
	expect((await api(server.url, 'drying-runs', started)).status).toBe(201);
	const notice = other.getByTestId('dryer-notice');
	await other.clock.runFor(60_000);
	await expect(notice).toContainText('Low box has dried long enough (over since 1 h)');
	await page.reload();
	await page.getByTestId('dryer-notice').getByRole('button', { name: 'Finished' }).click();
	await expect(page.getByTestId('dryer-notice')).toBeEmpty();
	const dried = await api(server.url, 'drying-ends', { id: v7(), runId: started.id, outcome: 'done', at: ago(0) });
	expect(dried.status).toBe(409);
	// Ended here, it is gone there too.
	await other.clock.runFor(60_000);
	await expect(notice).toBeEmpty();
	await expect(other.getByTestId('dryers')).toContainText('min left');
	await other.close();
});

test('moisture, drying and strength reach the sheet and the pick from what was typed', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Whole line', [
		{ price: '20', netMass: '1 kg', tare: '200 g' },
		{ price: '20', netMass: '1 kg', tare: '200 g' }
	]);
	const dryer = v7();
	await api(server.url, 'dryers', { id: dryer, name: 'Box' });
	for (const [index, spoolId] of spoolIds.entries()) {
		const post = async (path: string, body: object) => {
			const { status, answer } = await api(server.url, path, { id: v7(), spoolId, ...body });
			expect(status, JSON.stringify(answer)).toBe(201);
		};
		// The second came wetter, takes up more and breaks earlier.
		const wet = index === 0 ? 1 : 6;
		await post('readings', { quantity: 'grossMass', typed: `${1200 + wet}.0 g`, takenAt: ago(100) });
		const runId = v7();
		const run = { id: runId, dryerId: dryer, spoolIds: [spoolId], setPoint: '60 C', duration: '4 h', at: ago(90) };
		expect((await api(server.url, 'drying-runs', run)).status).toBe(201);
		expect((await api(server.url, 'drying-ends', { id: v7(), runId, outcome: 'done', at: ago(86) })).status).toBe(201);
		await post('readings', { quantity: 'grossMass', typed: '1200.0 g', takenAt: ago(85) });
		await post('readings', { quantity: 'grossMass', typed: `${1200 + wet / 2}.0 g`.replace('.5.0', '.5'), takenAt: ago(5) });
		for (const load of [150, 160, 155]) {
			const specimenId = v7();
			await post('specimens', { id: specimenId, shape: 'bar', orientation: 'flat', method: 'direct', at: ago(4) });
			await post('readings', { quantity: 'loadBroke', typed: `${load - index * 80} N`, specimenId, takenAt: ago(4) });
		}
	}
	await open(page, `${server.url}/trials/${trialId}`);
	for (const name of ['Moisture', 'Drying', 'Strength'])
		await expect(page.getByRole('columnheader', { name: new RegExp(`^${name}`) })).toBeVisible();
	await expect(page.getByRole('img', { name: /^Strength: 15\d N, n 3/ })).toBeVisible();
	await expect(page.getByRole('img', { name: /^Drying: 0\.60 %, n 2/ })).toBeVisible();
	await expect(page.getByRole('img', { name: /^Moisture: 0\.30 %, n 2/ })).toBeVisible();
	const pick = (await (await fetch(`${server.url}/api/v1/trials/${trialId}/pick`)).json()) as {
		rows: { spoolId: string; parts: { quantity: string; value: number; known: boolean }[] }[];
	};
	const part = (spoolId: string, quantity: string) =>
		pick.rows.find((r) => r.spoolId === spoolId)?.parts.find((p) => p.quantity === quantity);
	const [dry, wet] = spoolIds as [string, string];
	expect(pick.rows[0]?.spoolId).toBe(dry);
	for (const quantity of ['strengthLoad', 'waterUptake']) {
		expect(part(dry, quantity)?.known).toBe(true);
		expect(part(dry, quantity)?.value).toBeGreaterThan(part(wet, quantity)?.value ?? 1);
	}
	await open(page, `${server.url}/trials/${trialId}/pick`);
	await expect(page.getByTestId('ranking').locator('a').first()).toBeVisible();
});
