import { expect, test } from '@playwright/test';
import { allKept, makeTrial } from './bench';
import { TestServer } from './server';

const WORD = 'three brown herons';
let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

test('captures made while logged out wait, say so, and go out after the login, each once', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Behind a word', [{}]);
	await server.kill('SIGTERM');
	await server.run({ DRAUGHT_PASSPHRASE: WORD });
	const logIn = async () => {
		await page.getByLabel('Passphrase').fill(WORD);
		await page.getByRole('button', { name: 'Log in' }).click();
		await page.waitForURL((url) => url.pathname.endsWith('/diameter'));
	};
	await page.goto(`${server.url}/trials/${trialId}/diameter`);
	await logIn();
	await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	// Somebody logs everybody out, from another place.
	await page.evaluate(() => fetch('/api/v1/session?everywhere', { method: 'DELETE' }));
	for (const typed of ['1.76', '1.74']) {
		await page.keyboard.type(typed);
		await page.keyboard.press('Enter');
	}
	await expect(page.getByTestId('outbox')).toContainText('2 waiting');
	const notice = page.getByRole('alert').filter({ hasText: 'You are logged out' });
	await expect(notice).toContainText('2 entries on this device will be saved once you log in.');
	await notice.getByRole('link', { name: 'log in' }).click();
	await logIn();
	const kept = () =>
		page.evaluate(async (id) => {
			const answer: unknown = await (await fetch(`/api/v1/spools/${id}/evidence?station=diameter`)).json();
			const { readings } = (answer as { evidence: { readings: { typedText: string }[] } }).evidence;
			return readings.map((r) => r.typedText);
		}, spoolIds[0]);
	await expect.poll(kept).toEqual(['1.76', '1.74']);
	await allKept(page);
	await expect(page.getByText('You are logged out')).toHaveCount(0);
	expect(await kept()).toEqual(['1.76', '1.74']);
});
