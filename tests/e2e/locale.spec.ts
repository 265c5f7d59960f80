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
