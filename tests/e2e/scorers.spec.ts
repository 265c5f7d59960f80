import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { trainingPlan } from '../../src/lib/core/stations/prints/trainer/training';
import { drawnPhoto } from '../support/drawn-strings';
import { allKept, api, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

const SPIKES = { gap: 30, high: 40, foot: 10, tip: 2, plate: 2 };
async function registered(body: object): Promise<string> {
	const id = v7();
	expect((await api(server.url, 'pieces', { id, ...body })).status).toBe(201);
	return id;
}
async function print(spoolId: string, pieceId: string, more: object = {}): Promise<string> {
	const id = v7();
	const body = { id, spoolId, pieceId, outcome: 'finished', at: new Date().toISOString(), ...more };
	expect((await api(server.url, 'attempts', body)).status).toBe(201);
	return id;
}
async function say(spoolId: string, attemptId: string, quantity: string, typed: string, scorer: string): Promise<void> {
	const body = { id: v7(), spoolId, attemptId, quantity, typed, scorer, takenAt: new Date().toISOString() };
	expect((await api(server.url, 'readings', body)).status).toBe(201);
}

test('the eye is trained by keys: what it was is said, the run is kept and told', async ({ page }) => {
	// The plan of a run follows from its seed; the page draws that from Math.random.
	await page.addInitScript(() => (Math.random = () => 0.25));
	await open(page, `${server.url}/workshop/trainer`);
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'Enter who scores' })).toBeVisible();
	await page.getByLabel('Who scores').fill('Mira');
	await page.getByRole('button', { name: 'Begin' }).click();
	const plan = trainingPlan('strings', Math.floor(0.25 * 0x7fffffff));
	for (const [i, { grade }] of plan.entries()) {
		await expect(page.getByTestId('trained-drawing')).toHaveText(`drawing ${i + 1} of 12`);
		// One slip: the first heavy one is taken for slight.
		const slip = i === plan.findIndex((s) => s.grade === 3);
		await page.keyboard.press(String(slip ? 3 : grade + 1));
		await expect(page.getByRole('status').filter({ hasText: slip ? 'Not slight' : 'Right.' })).toBeVisible();
		await page.keyboard.press('Enter');
	}
	const result = page.getByTestId('training-result');
	await expect(result).toContainText('Strings. 11 of 12 right.');
	await page.getByText('method', { exact: true }).click();
	await expect(page.getByText('Agrees nearly always with the known grades (kappa 0.9')).toBeVisible();
	await page.reload();
	await expect(page.getByRole('listitem').filter({ hasText: 'Mira' })).toContainText('strings');
});

test('strings are measured on a photograph between four clicks in any order, kept apart from the judged word', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Measured strings', [{}]);
	const [spoolId] = spoolIds as [string];
	const spikes = await registered({ name: 'Pair', kind: 'spikePair', params: SPIKES });
	const attemptId = await print(spoolId, spikes);
	await say(spoolId, attemptId, 'strings', 'slight', 'Ada');
	const strands = [0.1, 0.3, 0.55, 0.8].map((from) => ({ from, to: from + 0.03, sag: 0.03, thick: 3 }));
	const { pixels, corners, coveragePct } = drawnPhoto({
		width: 1200,
		height: 900,
		strands,
		ground: [30, 32, 36],
		filament: [210, 190, 90],
		noise: 2,
		tiltDeg: 8
	});
	const { data, width, height } = pixels;
	const bytes = await sharp(Buffer.from(data), { raw: { width, height, channels: 4 } })
		.jpeg({ quality: 92 })
		.toBuffer();
	const query = new URLSearchParams({ attemptId, at: new Date().toISOString(), zone: 'UTC' });
	const photoId = v7();
	const put = await fetch(`${server.url}/api/v1/photos/${photoId}?${query}`, {
		method: 'PUT',
		headers: { 'content-type': 'image/jpeg' },
		body: new Uint8Array(bytes)
	});
	expect(await put.text()).toContain(photoId);
	// A body that does not say what it is never arrives: that is said, and not that it is no picture.
	const unsaid = await fetch(`${server.url}/api/v1/photos/${v7()}?${query}`, { method: 'PUT', body: new Uint8Array(bytes) });
	expect(unsaid.status).toBe(415);

	await open(page, `${server.url}/trials/${trialId}/prints/photos`);
	await page.getByRole('link', { name: 'measure its strings' }).click();
	await expect(page.getByText('judged by eye: slight (Ada)')).toBeVisible();
	const picture = page.getByTestId('photo-cross');
	const box = await picture.boundingBox();
	if (!box) throw new Error('no picture');
	const at = ([x, y]: readonly [number, number]) => ({ x: box.x + (x / width) * box.width, y: box.y + (y / height) * box.height });
	const click = async (corner: readonly [number, number]) => {
		const { x, y } = at(corner);
		await page.mouse.click(x, y);
	};
	const said = page.getByTestId('strands-said');
	await expect(said).toContainText('first');
	for (const i of [2, 0, 3] as const) await click(corners[i]);
	await expect(said).toContainText('last');
	// One back, and the same corner again.
	await page.keyboard.press('Backspace');
	await expect(said).toContainText('third');
	await click(corners[3]);
	await click(corners[1]);
	await expect(said).toContainText('4 strands cross');
	await expect(said).toContainText('the photograph is clear');
	await page.keyboard.press('Enter');
	await expect(said).toContainText('Saved for');
	await allKept(page);
	const { findings } = (await (await fetch(`${server.url}/api/v1/spools/${spoolId}/findings`)).json()) as {
		findings: { quantity: string; n: number; figure: { points?: number[]; counts?: number[] }; subject: { pieceId: string | null } }[];
	};
	const of = (quantity: string) => findings.find((f) => f.quantity === quantity && f.subject.pieceId === spikes);
	expect(of('photoStrings')).toMatchObject({ n: 1, figure: { points: [4] } });
	expect(Math.abs((of('stringCoverage')?.figure.points?.[0] ?? 0) / coveragePct - 1)).toBeLessThan(0.3);
	expect(of('strings')).toMatchObject({ n: 1, figure: { counts: [0, 0, 1, 0] } });
	// By keys alone: the cross begins in the middle, and a gap of no width is refused.
	await page.keyboard.press('ArrowRight');
	for (let i = 0; i < 4; i++) await page.keyboard.press('Enter');
	await expect(said).toContainText('cannot be measured');
	await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
});

test('three scorers, a second look, and what one of them adds: told, and taken out by the rules', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Three scorers', [{}, {}]);
	const step = '01900000-0000-7000-8000-000000000001';
	for (const [s, spoolId] of spoolIds.entries())
		for (const degrees of [50, 60]) {
			const attemptId = await print(spoolId, step, { trialId });
			await say(spoolId, attemptId, 'overhangLastClean', String(degrees), 'Ada');
			await say(spoolId, attemptId, 'overhangLastClean', String(degrees + 10 + (degrees === 60 ? 1 : 0)), 'Ben');
			if (s === 0) await say(spoolId, attemptId, 'overhangLastClean', String(degrees), 'Cy');
		}
	await open(page, `${server.url}/trials/${trialId}/prints/score`);
	await page.getByLabel('Who scores').fill('Cy');
	await page.getByRole('combobox', { name: /^scores/ }).selectOption('again');
	await page.getByRole('heading', { name: 'Score prints' }).click();
	for (const i of [1, 2]) {
		await expect(page.getByText(`print ${i} of 2`)).toBeVisible();
		await page.keyboard.type('55');
		await page.keyboard.press('Enter');
		await page.keyboard.press('Enter');
	}
	await expect(page.getByTestId('all-scored')).toBeVisible();
	await allKept(page);
	const agree = page.getByRole('region', { name: 'How scorers agree' });
	await expect(agree.getByText(/Overhang: Ada, Ben, Cy and Cy \(second look\) together agree .*\(alpha /)).toBeVisible();
	await expect(agree.getByText(/Overhang: Cy and Cy \(second look\) both scored 2 prints/)).toBeVisible();
	await expect(agree.getByText(/Ben marks 1\d\.\d ° higher than .* for the same print/)).toBeVisible();
	await agree.getByRole('link', { name: /Correct for it/ }).click();
	await page.getByText('Correct for strict and lenient scorers').click();
	await page.getByRole('button', { name: 'Save rules' }).click();
	await expect(page.getByText('The rules are saved as a new version')).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${spoolIds[0]}`);
	await expect(page.getByText(/Marks of Ben are counted as if by/).first()).toBeVisible();
});

test('a temperature ladder is scored by keys; a change while printing is flagged; wet and dry are a finding', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Heat and water', [{}, {}, {}]);
	const [heat, spikes] = [
		await registered({
			name: 'Heat',
			kind: 'temperatureLadder',
			params: { from: 240, to: 200, step: 5, floor: 10, width: 30, depth: 8, span: 14, nose: 5 }
		}),
		await registered({ name: 'Pair', kind: 'spikePair', params: SPIKES })
	];
	const [a, b, c] = spoolIds as [string, string, string];
	await print(a, heat);
	await open(page, `${server.url}/trials/${trialId}/prints/score?piece=${heat}`);
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('Enter');
	for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('all-scored')).toBeVisible();
	await allKept(page);
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${a}`);
	await expect(page.getByText('Clean from 205 to 220 °C; the middle of it is 213 °C.')).toBeVisible();

	// Two prints of the step piece, one of them changed on the way: typed on the page.
	const step = '01900000-0000-7000-8000-000000000001';
	await print(b, step, { trialId, marks: { overhangLastClean: '60' } });
	await page.getByRole('combobox', { name: /^Test piece/ }).selectOption({ label: 'Step piece 1' });
	await page.getByText('Settings (copied from the last print)').click();
	await page.getByLabel('Changed while it printed').fill('fan off from half way');
	await page.getByLabel('choose the file').setInputFiles({ name: 'step.gcode', mimeType: 'text/plain', buffer: Buffer.from('G28') });
	await expect(page.getByText('step.gcode')).toBeVisible();
	await page.getByLabel('Overhang, last clean').fill('65');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText('≠ changed while printing: fan off from half way')).toBeVisible();
	await expect(page.getByText(/· file [0-9a-f]{8}/)).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByText(/settings changed mid-print \(fan off from half way\): .*overhang/)).toBeVisible();

	// The same piece six times wet and six times dry.
	for (const word of ['heavy', 'heavy', 'slight', 'heavy', 'slight', 'heavy']) await print(c, spikes, { marks: { strings: word } });
	for (const word of ['wisp', 'none', 'none', 'wisp', 'none', 'none'])
		await print(c, spikes, { condition: 'dried', marks: { strings: word } });
	await open(page, `${server.url}/trials/${trialId}/prints?spool=${c}`);
	await expect(page.getByText(/Drying helped strings: better in 6 of 6 pairs, worse in 0 \(exact sign test, p = 0\.031\)/)).toBeVisible();
});

test('an own measure is asked with the prints if it is wanted, and reaches its column', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Own with prints', [{}]);
	const tile = await registered({ name: 'Own tile', kind: 'flatTile', params: { wide: 40, deep: 40, thick: 2 } });
	const measure = { id: v7(), trialId, name: 'Ring', unit: 's', direction: 'more', low: 0, high: 10 };
	expect((await api(server.url, 'own-measures', measure)).status).toBe(201);
	await print(String(spoolIds[0]), tile);
	await open(page, `${server.url}/trials/${trialId}/prints/score?piece=${tile}`);
	await page.getByLabel('also ask: ring').check();
	await page.getByRole('heading', { name: 'Score prints' }).click();
	for (const title of ['Surface', 'Corner lift']) {
		await expect(page.getByRole('heading', { name: title })).toBeVisible();
		if (title === 'Surface') await page.keyboard.press('x');
		else {
			await expect(page.getByRole('textbox', { name: 'Corner lift of' })).toBeFocused();
			await page.keyboard.type('0.2');
			await page.keyboard.press('Enter');
		}
	}
	await expect(page.getByRole('textbox', { name: 'Ring of' })).toBeFocused();
	await page.keyboard.type('3,5');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('all-scored')).toBeVisible();
	await allKept(page);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Surface' })).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('columnheader', { name: /Ring/ })).toBeVisible();
	await expect(page.getByRole('cell').filter({ hasText: /3\.[5-7]/ })).toBeVisible();
});
