import { expect, test } from '@playwright/test';
import { makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());

test('two people at the rules of one trial: neither overwrites what the other changed', async ({ browser }) => {
	const { trialId } = await makeTrial(server.url, 'Shared', [{}]);
	const [a, b] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()];
	for (const page of [a, b]) await open(page, `${server.url}/trials/${trialId}/rules`);
	const repeats = (page: typeof a) => page.getByLabel('Prints per piece');
	const spots = (page: typeof a) => page.getByLabel('Spots in the quick check');
	const save = (page: typeof a) => page.getByRole('button', { name: 'Save rules' }).click();
	const saved = (page: typeof a) => expect(page.getByText('The rules are saved as a new version')).toBeVisible();

	await repeats(a).fill('3');
	await save(a);
	await saved(a);
	// Another field, on a form that was opened before: both stand.
	await spots(b).fill('8');
	await save(b);
	await saved(b);
	await expect(repeats(b)).toHaveValue('3');
	// The same field: told with both values, nothing saved; saved again it is meant.
	await repeats(b).fill('5');
	await save(b);
	await saved(b);
	await repeats(a).fill('4');
	await save(a);
	await expect(a.getByText('somebody else changed this to “5”; you have “4”. Save again to keep yours')).toBeVisible();
	await expect(repeats(a)).toHaveValue('4');
	await expect(spots(a)).toHaveValue('8');
	await save(a);
	await saved(a);
	await b.reload();
	await expect(repeats(b)).toHaveValue('4');
	await expect(spots(b)).toHaveValue('8');
});
