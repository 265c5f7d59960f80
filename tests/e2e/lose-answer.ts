import { expect, test, type Page } from '@playwright/test';

const NOT_KNOWN = /not known whether (this|it) was saved/;
/**
 * The server does what it is asked, and its answer is lost on the way, once.
 * @returns whether one was lost by now
 */
export async function loseAnswer(page: Page, path: string): Promise<() => boolean> {
	let lost = false;
	await page.route(
		(url) => new RegExp(`^/api/v1/${path}$`).test(url.pathname),
		async (route) => {
			if (lost || route.request().method() === 'GET') return route.continue();
			lost = true;
			// A kept connection may have been closed by the server just now; a browser asks again by itself, this helper has to be told.
			await route.fetch({ maxRetries: 3 });
			await route.abort('connectionreset');
		}
	);
	return () => lost;
}

/**
 * Presses once and loses the answer, then presses the same again: it is told that nobody knows, and in the end there is one entry.
 * @param kinds of all entries that were stored
 * @param press fills in what the form asks and sends it; a second time it only sends
 */
export async function storedOnce(
	kinds: () => Promise<string[]>,
	page: Page,
	path: string,
	kind: string,
	press: (first: boolean) => Promise<void>
): Promise<void> {
	await test.step(`${kind}: ${path}`, async () => {
		const lost = await loseAnswer(page, path);
		const before = (await kinds()).filter((k) => k === kind).length;
		await press(true);
		await expect.poll(lost).toBe(true);
		await expect(page.getByText(NOT_KNOWN).first()).toBeVisible();
		expect((await kinds()).filter((k) => k === kind)).toHaveLength(before + 1);
		const answered = page.waitForResponse(
			(r) => r.request().method() !== 'GET' && new RegExp(`/api/v1/${path}$`).test(new URL(r.url()).pathname) && r.ok()
		);
		await press(false);
		expect((await answered).status()).toBe(200);
		await expect(page.getByText(NOT_KNOWN)).toHaveCount(0);
		expect((await kinds()).filter((k) => k === kind)).toHaveLength(before + 1);
		await page.unrouteAll({ behavior: 'wait' });
	});
}
