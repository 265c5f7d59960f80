import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { isTimed } from '../../src/lib/schemas/timed';
import { allKept, api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const at = () => new Date().toISOString();
const diameters = async (spoolId: string) => {
	const found = (await (await fetch(`${server.url}/api/v1/spools/${spoolId}/findings`)).json()) as {
		findings: { quantity: string; n: number }[];
	};
	return found.findings.find((f) => f.quantity === 'diameterMean')?.n;
};

test('intake: the error stands at its field, what was typed stays, nothing is stored', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Bad intake', []);
	await open(page, `${server.url}/trials/${trialId}/intake`);
	await page.getByLabel('Price, EUR').fill('about twenty');
	await page.getByLabel('Filament weight').fill('1');
	await page.getByLabel('Label temperature').fill('21');
	await page.getByRole('button', { name: 'Add spool' }).click();
	// All at once: what is missing, and what cannot be read.
	await expect(page.getByText('Material is missing')).toBeVisible();
	await expect(page.getByText('Price, EUR is not a price such as 21.90')).toBeVisible();
	await expect(page.getByText('Label temperature looks wrong for a nozzle temperature')).toBeVisible();
	await expect(page.getByLabel('Price, EUR')).toHaveValue('about twenty');
	await expect(page.getByLabel('Price, EUR')).toHaveAttribute('aria-invalid', 'true');
	await expect(page.getByText('No spool yet.')).toBeVisible();
	await page.getByRole('button', { name: 'Use 1 kg' }).click();
	await expect(page.getByLabel('Filament weight')).toHaveValue('1 kg');
	await page.getByLabel('Material').fill('PETG');
	await page.getByLabel('Price, EUR').fill('20,50');
	await page.getByLabel('Good points').fill('wound neatly');
	await page.getByLabel('Label temperature').fill('210-230 C');
	await page.getByRole('button', { name: 'Add spool' }).click();
	await expect(page.getByText('added. Write the code')).toBeVisible();
	await expect(page.getByLabel('Good points')).toHaveValue('');
	const bundle = (await (await fetch(`${server.url}/api/v1/trials/${trialId}/bundle`)).json()) as { tables: { readings: object[] } };
	expect(bundle.tables.readings).toMatchObject([{ quantity: 'goodPoints', typedText: 'wound neatly', station: 'intake' }]);
});

test('a pasted list: wrong rows are named, nothing is taken in until all are right', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Paste', []);
	await open(page, `${server.url}/trials/${trialId}/intake`);
	await page.getByRole('button', { name: 'Paste a list' }).click();
	const paste = page.getByLabel('Rows from a spreadsheet');
	await expect(page.getByText('Nothing pasted yet.')).toBeVisible();
	await paste.fill('Material\tPrice\tFilament weight');
	await expect(page.getByText('There is a heading but no spool under it.')).toBeVisible();
	await paste.fill('Material\tPrice\tFilament weight\nPETG\t20\t1 kg\nPLA\tcheap\t1 kg\nASA\t30\t-5 g\n\t25\theavy');
	await page.getByRole('button', { name: 'Add 4 spools' }).click();
	await expect(page.getByText('Nothing was added: 4 things to put right.')).toBeVisible();
	await expect(page.getByRole('row', { name: /^4/ })).toContainText('material is missing');
	await expect(page.getByRole('row', { name: /^4/ })).toContainText('filament weight');
	await expect(page.getByRole('row', { name: /^2 PLA/ })).toContainText('price is not a price');
	await expect(page.getByRole('row', { name: /^3 ASA/ })).toContainText('filament weight must be above zero');
	await expect(page.getByText('No spool yet.')).toBeVisible();
	await paste.fill('Material\tPrice\tFilament weight\nPETG\t20\t1 kg\nPLA\t15\t1 kg\nASA\t30\t750 g');
	await page.getByRole('button', { name: 'Add 3 spools' }).click();
	await expect(page.getByText('3 spools added.')).toBeVisible();
});

test('diameter: a slip is asked about, text is refused, an odd value is questioned and corrected with undo', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Slips', [{ labelTolerance: '0.05' }]);
	const spoolId = spoolIds[0] as string;
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	const field = page.getByRole('textbox', { name: /Diameter of/ });
	for (const [typed, words] of [
		['17.5', 'Did you mean 1.75 mm?'],
		['1750', 'Did you mean 1.75 mm?'],
		['wide', 'is not a number'],
		['0', 'must be above zero'],
		['-1.75', 'must be above zero'],
		['1.75 furlong', 'unknown unit']
	] as const) {
		await field.fill(typed);
		await page.keyboard.press('Enter');
		await expect(page.locator('#capture-error')).toContainText(words);
		await expect(field).toHaveValue(typed);
	}
	await field.fill('1750');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: 'Use 1.75 mm' }).click();
	await page.keyboard.press('Enter');
	// A second press of Enter takes what is proposed, and one after "same again" keeps nothing.
	await field.fill('1750');
	await page.keyboard.press('Enter');
	await page.keyboard.press('Enter');
	await page.keyboard.press('=');
	await page.keyboard.press('Enter');
	await expect(page.locator('#capture-error')).toHaveCount(0);
	await expect(page.getByRole('button', { name: /^1\.75/ })).toHaveCount(3);
	for (const typed of ['1.75', '1.57', '1.76', '1.75']) {
		await page.keyboard.type(typed);
		await page.keyboard.press('Enter');
	}
	await expect(page.getByText('Swapped digits? It counts until you say.')).toBeVisible();
	await allKept(page);
	await page.getByRole('button', { name: 'Correct it' }).click();
	await page.getByLabel('Right value').fill('1.75');
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(dialog.getByText('Give a reason')).toBeVisible();
	await dialog.getByLabel('Why').fill('digits swapped');
	await dialog.getByRole('button', { name: 'Correct it' }).click();
	await expect(page.getByText('Swapped digits?')).toBeHidden();
	await open(page, `${server.url}/spools/${spoolId}`);
	await expect(page.getByText('1.57, now 1.75: corrected, digits swapped')).toBeVisible();
	await page.getByRole('region', { name: 'Corrections' }).getByRole('button', { name: 'undo' }).click();
	await expect(page.getByText('(undone)')).toBeVisible();
	await expect(page.getByRole('region', { name: 'Diameter readings' }).getByRole('button', { name: '1.57' })).toBeVisible();
	expect(await diameters(spoolId)).toBe(7);
});

test('a failed print wants to know how far and why; marks in the wrong order are refused at the field', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Bad print', [{}]);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByText('failed', { exact: true }).click();
	await page.getByLabel('Bridge, clean mm').fill('long');
	await page.getByRole('button', { name: 'Save print' }).click();
	// All at once: how it ended, and a mark that cannot be read.
	await expect(page.getByText('Got to, % Enter how far it got, in %')).toBeVisible();
	await expect(page.getByText('Choose a cause')).toBeVisible();
	await expect(page.getByLabel('Bridge, clean mm')).toHaveAttribute('aria-invalid', 'true');
	await page.getByLabel('Bridge, clean mm').fill('');
	await page.getByText('finished', { exact: true }).click();
	await page.getByLabel('Overhang, last clean °').fill('70');
	await page.getByLabel('First bad °').fill('65');
	await page.getByRole('button', { name: 'Save print' }).click();
	await expect(page.getByText('must be beyond the last clean one (70)')).toBeVisible();
	await expect(page.getByLabel('Overhang, last clean °')).toHaveValue('70');
	await page.getByLabel('First bad °').fill('75');
	await page.getByRole('button', { name: 'Save print' }).click();
	await expect(page.getByText('Saved:')).toBeVisible();
});

test('a print that failed the same way again is one press', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Five tries', [{}]);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await page.getByText('failed', { exact: true }).click();
	await page.getByLabel('Got to, %').fill('12');
	await page.getByRole('group', { name: 'Cause' }).getByText('the set-up', { exact: true }).click();
	await page.getByRole('button', { name: 'Save print' }).click();
	for (const n of [1, 2]) {
		await expect(page.getByRole('heading', { name: new RegExp(`^${n} prints? of`) })).toBeVisible();
		await page.getByRole('button', { name: 'Same again' }).click();
	}
	await expect(page.getByRole('heading', { name: /^3 prints of/ })).toBeVisible();
	// One line each; the newest is open.
	await expect(page.getByText('Failed at 12 %, cause: the set-up')).toHaveCount(3);
	await expect(page.getByRole('button', { name: 'edit' })).toHaveCount(1);
	await page.getByText('Failed at 12 %, cause: the set-up').last().click();
	await expect(page.getByRole('button', { name: 'edit' })).toHaveCount(2);
});

test('the API answers junk with a problem and stores nothing', async () => {
	const { spoolIds } = await makeTrial(server.url, 'Junk', [{ benchCode: 'ZA1' }]);
	const spoolId = spoolIds[0] as string;
	const reading = { id: v7(), spoolId, quantity: 'diameter', typed: '1.75', takenAt: at() };
	expect((await api(server.url, 'readings', reading)).status).toBe(201);
	expect((await api(server.url, 'readings', reading)).status).toBe(200);
	expect((await api(server.url, 'readings', { ...reading, typed: '1.76' })).status).toBe(409);
	const future = await api(server.url, 'readings', { ...reading, id: v7(), takenAt: '2999-01-01T00:00:00Z' });
	expect(future).toMatchObject({ status: 422, answer: { errors: [{ path: 'takenAt', code: 'future' }] } });
	expect((await api(server.url, 'readings', { ...reading, id: v7(), spoolId: v7() })).answer).toMatchObject({
		errors: [{ path: 'spoolId', code: 'unknownId' }]
	});
	expect((await api(server.url, 'readings', { id: 'x' })).status).toBe(422);
	expect((await api(server.url, 'intake', { id: v7(), material: 'PLA', benchCode: 'ZA1', at: at() })).answer).toMatchObject({
		errors: [{ path: 'benchCode', code: 'codeTaken' }]
	});
	// A weight that was refused is not missed as well; what else is wrong is told with it.
	const long = { id: v7(), material: 'PLA', price: '20', netMass: '9'.repeat(50), labelNozzle: 'hot', at: at() };
	const { answer } = await api(server.url, 'intake', long);
	expect((answer.errors as { path: string; code: string }[]).map((e) => `${e.path} ${e.code}`)).toEqual([
		'netMass tooLong',
		'labelNozzle notANozzleTemperature'
	]);

	const huge = await fetch(`${server.url}/api/v1/readings`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: 'x'.repeat(10 * 1024 * 1024)
	});
	expect(huge.status).toBe(413);
	expect(huge.headers.get('content-type')).toContain('application/problem+json');
	const broken = await fetch(`${server.url}/api/v1/readings`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: '{"id":'
	});
	expect(broken.status).toBe(400);
	const form = await fetch(`${server.url}/api/v1/readings`, {
		method: 'POST',
		headers: { 'content-type': 'application/xml' },
		body: '<id/>'
	});
	expect(form.status).toBe(415);
	expect(await diameters(spoolId)).toBe(1);
});

test('other hosts and other sites are turned away; unknown ids are a page of 404', async ({ page, request }) => {
	const foreign = await fetch(`${server.url}/api/v1/trials`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: 'http://elsewhere.example' },
		body: '{}'
	});
	expect(foreign.status).toBe(403);
	const redirected = await request.get(`http://127.0.0.1:${server.port}/trials`, { maxRedirects: 0 });
	expect(redirected.status()).toBe(308);
	expect(redirected.headers().location).toBe(`${server.url}/trials`);
	const refused = await request.post(`http://127.0.0.1:${server.port}/api/v1/trials`, { data: {} });
	expect(refused.status()).toBe(421);
	const missing = await page.goto(`${server.url}/trials/${v7()}`);
	expect(missing?.status()).toBe(404);
	await expect(page.getByText('There is no such trial.')).toBeVisible();
	expect((await page.goto(`${server.url}/spools/not-an-id`))?.status()).toBe(404);
});

test('what the record knows is told with what the body lacks: a code in use, a run too hot, a correction without a reason', async () => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'All at once', [{ benchCode: 'ZQ1' }]);
	const refused = async (path: string, body: object) => {
		const response = await fetch(`${server.url}/api/v1/${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ id: v7(), ...(isTimed(path) ? { at: at() } : {}), ...body })
		});
		expect(response.status).toBe(422);
		return ((await response.json()) as { errors: { path: string; code: string }[] }).errors.map((e) => `${e.path} ${e.code}`);
	};
	expect(await refused('intake', { trialId, benchCode: 'ZQ1', price: 'cheap', netMass: '1 kg' })).toEqual([
		'material missing',
		'price notAPrice',
		'benchCode codeTaken'
	]);
	expect(await refused('intake/list', { trialId, rows: [{ id: v7(), at: at(), material: 'PLA' }, { benchCode: 'ZQ1' }] })).toContain(
		'rows.1.benchCode codeTaken'
	);
	expect(await refused('dryers', { name: '', setPointLow: '80 C', setPointHigh: '60 C' })).toEqual([
		'name missing',
		'setPointHigh lowestAboveHighest'
	]);
	const dryerId = v7();
	await api(server.url, 'dryers', { id: dryerId, name: 'Low box', setPointHigh: '70 C' });
	const began = new Date(Date.now() - 3_600_000).toISOString();
	const past = { spoolIds, setPoint: 'warm', duration: 'long', at: began };
	expect(await refused('drying-runs', { ...past, endedAt: at() })).toEqual([
		'dryerId missing',
		'setPoint notATemperature',
		'duration notADuration'
	]);
	const before = new Date(Date.now() - 7_200_000).toISOString();
	expect(await refused('drying-runs', { ...past, endedAt: before })).toEqual([
		'dryerId missing',
		'endedAt beforeDrying',
		'setPoint notATemperature',
		'duration notADuration'
	]);
	expect(await refused('drying-runs', { dryerId, spoolIds, setPoint: '75 C' })).toEqual([
		'duration missing',
		'setPoint beyondDryer',
		'setPoint softens'
	]);
	const runId = v7();
	await api(server.url, 'drying-runs', { id: runId, dryerId, spoolIds, setPoint: '60 C', duration: '4 h', at: at() });
	expect(await refused('drying-facts', { runId, setPoint: 'warm', startedAt: new Date(Date.now() + 3_600_000).toISOString() })).toEqual([
		'reason missing',
		'setPoint notATemperature',
		'startedAt future'
	]);
	expect(await refused('drying-runs', { dryerId, spoolIds, duration: '4 h' })).toEqual(['setPoint missing', 'spoolIds.0 inDryer']);
});

test('a load: how it is loaded is told at its fields together with what was typed, on a phone with the fields folded away', async ({
	page
}) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Loaded wrongly', [{}]);
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${server.url}/trials/${trialId}/strength`);
	await page.getByLabel('Nozzle, °C').fill('hot');
	await page.getByLabel('Bucket (added to every load)').fill('heavy');
	const details = page.locator('details', { has: page.getByLabel('Nozzle, °C') });
	await details.locator('summary').first().click();
	await expect(page.getByLabel('Nozzle, °C')).toBeHidden();
	const field = page.getByRole('textbox', { name: /^Load on/ });
	await field.fill('ten');
	await page.getByRole('button', { name: 'It holds' }).click();
	await expect(page.getByText('First enter what you are loading, e.g. a hook')).toBeVisible();
	await expect(page.getByText('First give the nozzle temperature in °C, or leave it empty')).toBeVisible();
	await expect(page.getByLabel('Bucket (added to every load)')).toHaveAttribute('aria-invalid', 'true');
	await expect(page.getByText('ten is not a number.')).toBeVisible();
	await expect(field).toHaveValue('ten');
	await page.getByLabel('Test part').fill('hook');
	await page.getByLabel('Nozzle, °C').fill('');
	await field.fill('10 N');
	await page.getByRole('button', { name: 'It holds' }).click();
	await expect(page.getByText('First put right what is marked above, then save it again.')).toBeVisible();
	await page.getByLabel('Bucket (added to every load)').fill('0.4 kg');
	await page.getByRole('button', { name: 'It holds' }).click();
	await allKept(page);
	const kept = (await (await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/evidence?station=strength`)).json()) as {
		evidence: { readings: { quantity: string; typedText: string }[] };
	};
	expect(kept.evidence.readings.map((r) => `${r.quantity} ${r.typedText}`)).toEqual(['bucketMass 0.4 kg', 'loadHeld 10 N']);
});
