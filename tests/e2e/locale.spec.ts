import { expect, test } from '@playwright/test';
import { allKept, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

/** How the browsers of three testers write the same day and the same numbers. */
const LOCALES = [
	{ locale: 'en-US', day: 'Oct 9, 2026', price: '1234.50', mean: '1.750' },
	{ locale: 'en-GB', day: '9 Oct 2026', price: '1234.50', mean: '1.750' },
	{ locale: 'de-DE', day: '9. Okt. 2026', price: '1234,50', mean: '1,750' }
];

for (const { locale, day, price, mean } of LOCALES)
	test.describe(locale, () => {
		test.use({ locale, timezoneId: 'UTC' });

		test('days and numbers are written as this browser writes them, and read with point or comma', async ({ page }) => {
			const bought = { price: '1234.50', netMass: '1 kg', at: '2026-10-09T08:00:00Z' };
			const { trialId, spoolIds } = await makeTrial(server.url, `Seen from ${locale}`, [bought]);
			await open(page, `${server.url}/trials/${trialId}/cost`);
			const row = page.getByRole('row').filter({ hasText: day });
			// Thousands are not marked in money: a point there may be read as the other thing.
			await expect(row).toContainText(price);
			await open(page, `${server.url}/trials/${trialId}/diameter`);
			for (const typed of ['1.74', '1,76', '175']) {
				await page.keyboard.type(typed);
				await page.keyboard.press('Enter');
			}
			await allKept(page);
			await expect(page.getByRole('complementary', { name: 'Results' })).toContainText(`${mean} mm`);
			const { readings } = (
				(await (await fetch(`${server.url}/api/v1/spools/${spoolIds[0]}/evidence?station=diameter`)).json()) as {
					evidence: { readings: { value: number }[] };
				}
			).evidence;
			expect(readings.map((r) => r.value).sort()).toEqual([1.74, 1.75, 1.76]);
			// What the server made and what the page made of it are the same text.
			await page.reload();
			await expect(page.getByRole('complementary', { name: 'Results' })).toContainText(`${mean} mm`);
		});
	});

test('what is tapped beside the field is what results are written in, from then on and on every page of this device', async ({ page }) => {
	const full = { price: '21.90', netMass: '1 kg', grossMass: '1245.5 g', tare: '230 g' };
	const { trialId, spoolIds } = await makeTrial(server.url, 'In inches and pounds', [full]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	const results = page.getByRole('complementary', { name: 'Results' });
	await page.keyboard.type('1.74');
	await page.keyboard.press('Enter');
	await page.keyboard.type('1.76');
	await page.keyboard.press('Enter');
	await allKept(page);
	await expect(results).toContainText('1.750 mm');
	await page.getByRole('button', { name: 'in', exact: true }).click();
	await expect(results).toContainText('0.06890 in');
	await expect(results).not.toContainText(/\d mm/);
	await page.keyboard.type('.0689');
	await page.keyboard.press('Enter');
	await allKept(page);
	await expect(results).toContainText('n 3');

	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await page.getByRole('button', { name: 'lb', exact: true }).click();
	// 1245.5 g are 43.9337 oz: 2 lb 11.93 oz.
	await expect(page.getByRole('main')).toContainText(/empty spool.* 8.11 oz ·/);
	await open(page, `${server.url}/spools/${spoolIds[0]}`);
	await expect(page.getByText('2 lb 11.93 oz full spool')).toBeVisible();
	await open(page, `${server.url}/trials/${trialId}`);
	await expect(page.getByRole('columnheader', { name: 'Diameter' }).first()).toContainText('limits, in');
	const cookies = await page.context().cookies();
	expect(cookies.find((c) => c.name === 'draught-units')?.value).toBe('length-in.mass-lb');

	// Who asks for the same page at the same moment in other units gets it in theirs; the server's own text is in them.
	const asked = Array.from({ length: 6 }, (_, i) => (i % 2 ? 'length-in' : 'length-parsec'));
	const texts = await Promise.all(
		asked.map(async (units) =>
			(await fetch(`${server.url}/trials/${trialId}/diameter`, { headers: { cookie: `draught-units=${units}` } })).text()
		)
	);
	expect(texts.map((text) => [text.includes('0.06890 in'), text.includes('1.750 mm')])).toEqual(
		asked.map((units) => (units === 'length-in' ? [true, false] : [false, true]))
	);
});
