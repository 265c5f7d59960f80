import { expect, test, type Page } from '@playwright/test';
import { allKept, makeTrial, open, tabTo, type } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

async function addSpool(page: Page, spool: { material: string; price: string; netMass: string; label: string }): Promise<void> {
	await tabTo(page, 'Material');
	await type(page, spool.material);
	await page.keyboard.press('Tab');
	await type(page, spool.price);
	await page.keyboard.press('Tab');
	await type(page, spool.netMass);
	await page.keyboard.press('Tab');
	await type(page, spool.label);
	await page.keyboard.press('Control+Enter');
	await expect(page.getByRole('status').filter({ hasText: 'added. Write the code' })).toBeVisible();
	await expect(page.getByLabel('Material')).toBeFocused();
}

async function print(
	page: Page,
	code: string | undefined,
	marks: { overhang: [string, string]; bridge: [string, string]; strings: number }
): Promise<void> {
	await tabTo(page, 'Overhang, last clean');
	await type(page, marks.overhang[0]);
	await page.keyboard.press('Tab');
	await type(page, marks.overhang[1]);
	await page.keyboard.press('Tab');
	await type(page, marks.bridge[0]);
	await page.keyboard.press('Tab');
	await type(page, marks.bridge[1]);
	await page.keyboard.press('Tab');
	await page.keyboard.press('Space');
	for (let i = 0; i < marks.strings; i++) await page.keyboard.press('ArrowRight');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByRole('status').filter({ hasText: `Saved: ${code}` })).toBeVisible();
}

/** Counts every key that is pressed, Tab among them; what it came to since it was last asked. */
async function countKeys(page: Page): Promise<() => number> {
	let pressed = 0;
	let asked = 0;
	await page.exposeFunction('keyPressed', () => pressed++);
	await page.addInitScript(() =>
		addEventListener('keydown', () => void (window as unknown as { keyPressed: () => void }).keyPressed(), true)
	);
	return () => {
		const since = pressed - asked;
		asked = pressed;
		return since;
	};
}

/** Six tenths of what the same took before anything was left out or proposed. */
const BOUND = 0.6;

test('from nothing to the right pick of three spools, by keys alone', async ({ page }) => {
	const keys = await countKeys(page);
	await open(page, server.url);
	await expect(page.getByRole('heading', { name: 'New trial' })).toBeVisible();
	await tabTo(page, 'Name of the trial');
	await type(page, 'Knobs for the dome');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Intake' })).toBeVisible();

	// The second is clean and cheap, the first dear and clean, the third cheap and poor: the second must win.
	await addSpool(page, { material: 'PETG', price: '38', netMass: '1 kg', label: '240' });
	await addSpool(page, { material: 'PETG', price: '16,50', netMass: '1 kg', label: '230-250' });
	await addSpool(page, { material: 'PETG', price: '14', netMass: '1000 g', label: '235' });
	const codes = await page.getByRole('complementary').locator('a.wide').allTextContents();
	expect(codes).toHaveLength(3);
	// A name, then three spools with price, weight and label: 140 before.
	const atIntake = keys();
	expect(atIntake).toBeLessThanOrEqual(BOUND * (21 + 44 + 3 * 25));

	// Back to the sheet; the next act is named and one key takes it.
	await tabTo(page, /^Trial sheet/);
	await page.keyboard.press('Enter');
	await expect(page.getByText(`print Step piece 1 with ${codes[0]}, as received`)).toBeVisible();
	await page.keyboard.press('n');
	await expect(page.getByRole('heading', { name: codes[0] })).toBeVisible();
	await print(page, codes[0], { overhang: ['70', '75'], bridge: ['40', '45'], strings: 0 });
	await page.getByRole('heading', { name: codes[0], exact: true }).click();
	await page.keyboard.press('k');
	await expect(page.getByRole('heading', { name: codes[1], exact: true })).toBeVisible();
	await print(page, codes[1], { overhang: ['70', '75'], bridge: ['40', '45'], strings: 0 });
	await page.getByRole('heading', { name: codes[1], exact: true }).click();
	await page.keyboard.press('k');
	await expect(page.getByRole('heading', { name: codes[2], exact: true })).toBeVisible();
	await print(page, codes[2], { overhang: ['45', '50'], bridge: ['10', '15'], strings: 3 });

	await tabTo(page, /^Diameter/);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('textbox', { name: /Diameter of/ })).toBeFocused();
	keys();
	// Without a point it is hundredths; = is the same again.
	for (const typed of ['175', '=', '1,76', '174', '175', '=', '=', '176', '174', '=']) {
		await type(page, typed);
		if (typed !== '=') await page.keyboard.press('Enter');
	}
	// A name, three spools and ten readings.
	expect(atIntake + keys()).toBeLessThanOrEqual(BOUND * (21 + 44 + 3 * 25 + 50));
	await expect(page.getByText('The quick check is complete')).toBeVisible();
	await expect(page.getByTestId('diameter-sentence')).toContainText('No tolerance stated');
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('heading', { name: codes[1], exact: true })).toBeVisible();
	await type(page, '1.81');
	await page.keyboard.press('Enter');
	await page.keyboard.press('Backspace'); // taken back
	await expect(page.getByText('Spot 1 of 5')).toBeVisible();
	await allKept(page);

	await tabTo(page, /^Pick/);
	await page.keyboard.press('Enter');
	const ranking = page.getByTestId('ranking').locator('a');
	await expect(ranking.first()).toHaveText(codes[1] ?? '');
	await expect(ranking.last()).toHaveText(codes[2] ?? '');
	await expect(page.getByTestId('pick-sentence')).toHaveText(
		`Buy ${codes[1]}: as good as ${codes[0]}, as far as these tests can tell, and the cheapest.`
	);
});

test('moving a weight re-ranks at once and is kept', async ({ page }) => {
	await open(page, server.url);
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Pick' }).click();
	// The usual rule looks at cost only where nothing else parts spools; the weighted one weighs it.
	await page.getByRole('group', { name: 'Rule' }).getByText('weighted value').click();
	const ranking = page.getByTestId('ranking').locator('a');
	await expect(ranking).toHaveCount(3);
	const before = await ranking.allTextContents();
	for (const name of ['Looks', 'Holds', 'Prints easily', 'Keeps size', 'Keeps dry']) {
		const slider = page.getByRole('slider', { name: new RegExp(`^${name}`) });
		await slider.focus();
		await page.keyboard.press('Home');
	}
	// Only cost is left: the cheapest, third of before, comes first.
	await expect(ranking.first()).toHaveText(before[2] ?? '');
	await expect(page.getByTestId('weights-state')).toHaveText('saved');
	await page.reload();
	await expect(page.getByTestId('ranking').locator('a').first()).toHaveText(before[2] ?? '');
});

test('keys lead to the station before and after with the spool, and the skip link to the field', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'From station to station', [{}, {}]);
	await open(page, `${server.url}/trials/${trialId}/moisture?spool=${spoolIds[1]}`);
	await page.getByRole('heading', { level: 1 }).click();
	await page.keyboard.press('h');
	await expect(page).toHaveTitle(/^Diameter/);
	expect(new URL(page.url()).searchParams.get('spool')).toBe(spoolIds[1]);
	// In the field letters are letters.
	await expect(page.locator('#capture')).toBeFocused();
	await page.keyboard.type('l');
	await expect(page.locator('#capture')).toHaveValue('l');
	await page.getByRole('heading', { level: 1 }).click();
	await page.keyboard.press('l');
	await expect(page).toHaveTitle(/^Moisture/);
	await page.getByRole('link', { name: 'Skip to the field' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.locator('#capture')).toBeFocused();
});

test('three spools from a new trial to the verdict take six tenths of the keys they took', async ({ page }) => {
	const keys = await countKeys(page);
	await open(page, `${server.url}/trials/new`);
	await expect(page.getByLabel('Name of the trial')).toBeFocused();
	await type(page, 'Hooks for the roof');
	await page.keyboard.press('Enter');
	await expect(page.getByLabel('Material')).toBeFocused();
	await addSpool(page, { material: 'PETG', price: '38', netMass: '1 kg', label: '240' });
	await addSpool(page, { material: 'PETG', price: '16,50', netMass: '1 kg', label: '230-250' });
	await addSpool(page, { material: 'PETG', price: '14', netMass: '1 kg', label: '235' });
	const codes = await page.getByRole('complementary').locator('a.wide').allTextContents();
	const trial = page.url().replace(/\/intake.*/, '');
	const first = (await page.getByRole('complementary').locator('a.wide').first().getAttribute('href'))?.split('/').at(-1) ?? '';

	const counted: Record<string, number> = { begun: keys() };
	/** At each station: every spool in turn. */
	const atStation = async (station: string, each: (code: string, i: number) => Promise<void>) => {
		await open(page, `${trial}/${station}?spool=${first}`);
		keys();
		for (const [i, code] of codes.entries()) {
			await expect(page.getByRole('heading', { name: code, exact: true })).toBeVisible();
			await each(code, i);
			if (i < codes.length - 1) await page.keyboard.press('ArrowDown');
		}
		await allKept(page);
		counted[station] = keys();
	};
	await atStation('diameter', async () => {
		for (const typed of ['175', '=', '1,76', '174', '175', '=', '=', '176', '174', '=']) {
			await type(page, typed);
			if (typed !== '=') await page.keyboard.press('Enter');
		}
	});
	await atStation('moisture', async (_, i) => {
		await type(page, String(1240 + i));
		await page.keyboard.press('Enter');
	});
	await atStation('prints', async (code, i) => {
		await expect(page.getByLabel('Overhang, last clean')).toBeFocused();
		await type(page, String(65 - 5 * i));
		await page.keyboard.press('Tab');
		await type(page, String(70 - 5 * i));
		await page.keyboard.press('Control+Enter');
		await expect(page.getByRole('status').filter({ hasText: `Saved: ${code}` })).toBeVisible();
	});
	await atStation('strength', async (_, i) => {
		// The unit is typed once and stays.
		await type(page, i === 0 ? '20kg' : String(20 - i));
		await page.keyboard.press('Enter');
		await page.keyboard.press('s');
	});
	await open(page, `${trial}/pick`);
	await page.keyboard.press('v');
	await page.keyboard.press('Space');
	await page.keyboard.press('Tab');
	await page.keyboard.press('Space');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: /^withdraw/ })).toBeVisible();
	counted.verdict = keys();
	// Before: 21 for a trial, 44 and 25 a spool to take it in, 5 a reading, 7 a weighing, 12 a print, 15 a test part.
	const before = 21 + 44 + 3 * (25 + 50 + 7 + 12 + 15);
	expect(
		Object.values(counted).reduce((a, b) => a + b, 0),
		JSON.stringify(counted)
	).toBeLessThanOrEqual(BOUND * before);
});
