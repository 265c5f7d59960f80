import { expect, test, type Locator, type Page } from '@playwright/test';
import { allKept, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start({ demo: true })));
test.afterAll(() => server.stop());
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** Fingertips need 44 px, and letters 14 px (16 where a phone would zoom into a field). */
const FINGERTIP = 44;
const LETTER = 14;
const FIELD_LETTER = 16;

/** What on a page is too small for a finger or an eye; links and words within a sentence are as large as the sentence. */
const tooSmall = (page: Page): Promise<string[]> =>
	page.evaluate(
		([fingertip, letter, fieldLetter]) => {
			const found: string[] = [];
			const half = 0.5;
			for (const el of document.querySelectorAll<HTMLElement>('a, button, select, input, textarea, summary')) {
				const { width, height } = el.getBoundingClientRect();
				const style = getComputedStyle(el);
				if (width < 3 || style.visibility === 'hidden' || el.matches('label input') || el.matches('.link, .term')) continue;
				if (el.tagName === 'A' && style.display === 'inline') continue;
				const name = (el.textContent || el.getAttribute('aria-label') || el.id).trim().slice(0, 30);
				if (height < fingertip - half) found.push(`${el.tagName} ${name}: ${height.toFixed(0)} px high`);
				const isField = el.matches('select, textarea, input:not([type=checkbox], [type=radio], [type=range], [type=file])');
				if (isField && parseFloat(style.fontSize) < fieldLetter - half) found.push(`field ${name}: ${style.fontSize}`);
			}
			const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
			for (let text = texts.nextNode(); text; text = texts.nextNode()) {
				const el = text.parentElement;
				if (!el?.offsetParent || !text.textContent?.trim() || el.closest('svg, script, style, .sr-only')) continue;
				const { fontSize } = getComputedStyle(el);
				if (parseFloat(fontSize) < letter - 0.01) found.push(`“${text.textContent.trim().slice(0, 30)}”: ${fontSize}`);
			}
			const wide = document.documentElement.scrollWidth;
			if (wide > window.innerWidth) found.push(`${wide} px wide`);
			return [...new Set(found)];
		},
		[FINGERTIP, LETTER, FIELD_LETTER] as const
	);

test('nothing on the demo’s pages is too small for a finger or an eye, or wider than the phone', async ({ page }) => {
	const home = new URL((await fetch(server.url)).url).pathname;
	const stations = ['', '/intake', '/diameter', '/moisture', '/drying', '/prints', '/strength', '/cost', '/pick', '/rules', '/report'];
	const spool = /\/spools\/[0-9a-f-]+/.exec(await (await fetch(`${server.url}${home}/pick`)).text())?.[0] ?? '';
	const seen: Record<string, string[]> = {};
	const ofPrints = ['queue', 'score', 'photos', 'compare'].map((s) => `/prints/${s}`);
	const here = [...stations, ...ofPrints, '/own', '/diameter/spools'].map((s) => home + s);
	const others = ['/spools', '/trials', '/trials/new', '/workshop', '/workshop/trainer', '/pieces', '/handbook', '/exchange', '/drying'];
	for (const path of [...here, spool, `${spool}/scorecard`, ...others]) {
		await open(page, server.url + path);
		const small = await tooSmall(page);
		if (small.length) seen[path.replace(home, '')] = small;
	}
	expect(seen).toEqual({});
});

/** Whether all of something lies within what is in sight. */
const inSight = async (page: Page, locator: Locator): Promise<boolean> => {
	const box = await locator.boundingBox();
	return box !== null && box.y >= 0 && box.y + box.height <= (page.viewportSize()?.height ?? 0);
};

test('with the keyboard open the field and what saves it are in sight', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 500 });
	const home = new URL((await fetch(server.url)).url).pathname;
	for (const [station, save] of [
		['diameter', 'Save'],
		['moisture', 'Save'],
		['strength', 'It holds']
	] as const) {
		await open(page, `${server.url}${home}/${station}`);
		const field = page.locator('#capture');
		await field.tap();
		const bar = page.getByRole('navigation', { name: 'On the bench' });
		const button = page.getByRole('button', { name: save, exact: true });
		await expect.poll(() => inSight(page, field)).toBe(true);
		await expect.poll(async () => ((await button.boundingBox())?.y ?? 0) + 44 <= ((await bar.boundingBox())?.y ?? 0)).toBe(true);
	}
});

test('stations open over the page; the sheet is a card a spool, and one quantity at a time', async ({ page }) => {
	const home = new URL((await fetch(server.url)).url).pathname;
	await open(page, server.url + home);
	const heading = page.getByRole('heading', { level: 1 });
	const before = await heading.boundingBox();
	await page.getByRole('button', { name: 'Stations' }).tap();
	await expect(page.getByRole('link', { name: /^Diameter/ }).first()).toBeVisible();
	expect(await heading.boundingBox()).toEqual(before);
	await page.getByRole('button', { name: 'Stations' }).tap();
	const row = page.locator('tr').filter({ hasText: 'KE1' });
	const cells = row.locator('td');
	expect(await cells.count()).toBeGreaterThan(8);
	await page.getByLabel('Which quantity').selectOption({ label: 'Strings' });
	await expect(cells.filter({ visible: true })).toHaveCount(1);
	expect((await row.boundingBox())?.height).toBeLessThan(140);
});

test('a trial of three spools with one thumb: from a name to a verdict', async ({ page }) => {
	await open(page, `${server.url}/trials/new`);
	await page.getByLabel('Name of the trial').fill('Thumb trial');
	await page.getByRole('button', { name: 'Start and add a spool' }).tap();
	await expect(page.getByRole('heading', { name: 'Intake' })).toBeVisible();
	for (const [i, price] of ['38', '16,50', '14'].entries()) {
		await page.getByLabel('Material').fill('PETG');
		await page.getByLabel(/^Price/).fill(price);
		await page.getByLabel('Filament weight').fill('1 kg');
		await page.getByText('Nothing wrong').tap();
		await page.getByRole('button', { name: 'Add spool' }).tap();
		await expect(page.getByRole('complementary').locator('a.wide').filter({ hasNotText: 'KE1' })).toHaveCount(i + 1);
	}
	const stations = async (name: string) => {
		await page.getByRole('button', { name: 'Stations' }).tap();
		await page
			.getByRole('navigation', { name: 'Stations' })
			.getByRole('link', { name: new RegExp(`^${name}`) })
			.tap();
		await expect(page).toHaveTitle(new RegExp(`^${name}`));
	};
	// The demo's house spool stands beside them.
	const spools = page.getByRole('navigation', { name: 'On the bench' }).getByRole('button').filter({ hasNotText: 'KE1' });
	const save = page.getByRole('button', { name: 'Save', exact: true });

	await stations('Diameter');
	const field = page.locator('#capture');
	for (let i = 0; i < 3; i++) {
		await spools.nth(i).tap();
		for (const typed of ['174', '1.75']) {
			await field.fill(typed);
			await save.tap();
			await expect(field).toHaveValue('');
		}
		await page.getByRole('button', { name: 'same again' }).tap();
	}
	await expect(spools.nth(2)).toContainText('3 of 10');

	await stations('Moisture');
	await spools.nth(0).tap();
	await page.getByRole('button', { name: 'kg', exact: true }).tap();
	await field.fill('1,215');
	await save.tap();
	await expect(spools.nth(0)).toContainText('1 weighing');

	await stations('Prints');
	for (let i = 0; i < 3; i++) {
		await spools.nth(i).tap();
		await page.getByLabel('Overhang, last clean').fill(i === 2 ? '45' : '70');
		await page
			.getByRole('group', { name: /^Strings/ })
			.getByText(i === 2 ? 'heavy' : 'none')
			.tap();
		await page.getByRole('button', { name: 'Save print' }).tap();
		await expect(page.getByText(/^Saved: /)).toBeVisible();
	}

	await stations('Strength');
	await spools.nth(0).tap();
	// What the house spool's parts were is copied, in one line that opens.
	await page.getByText('dew-shield hook · upright').tap();
	await page.getByLabel('Test part').fill('hook');
	await page.getByRole('group', { name: 'Unit', exact: true }).getByRole('button', { name: 'lb', exact: true }).tap();
	await field.fill('10');
	await page.getByRole('button', { name: 'It holds' }).tap();
	await field.fill('15');
	await page.getByRole('button', { name: 'It broke' }).tap();
	await page.getByRole('button', { name: 'layers' }).tap();
	await allKept(page);

	await stations('Pick');
	await expect(page.getByTestId('pick-sentence')).toContainText('Buy ');
	const first = (await page.getByTestId('ranking').locator('tr[data-spool]').first().getAttribute('data-spool')) ?? '';
	const verdict = page.getByRole('region', { name: 'Verdict' });
	await verdict.getByText('Verdict', { exact: true }).first().tap();
	await page.getByRole('group', { name: 'Spool' }).getByText(first).tap();
	await page.getByRole('group', { name: 'Verdict' }).getByText('buy', { exact: true }).tap();
	await page.getByRole('button', { name: 'Save verdict' }).tap();
	await expect(verdict.getByText(`${first}: buy`)).toBeVisible();
});
