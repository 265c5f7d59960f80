import { BROWSER_ZONE } from './zone';
import { expect, test, type Page } from '@playwright/test';
import { allKept, api, makeTrial, open, tabTo, type } from './bench';
import { v7 } from 'uuid';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start()));
test.afterAll(() => server.stop());
test.use({ timezoneId: BROWSER_ZONE, locale: 'en-GB' });

/** Says by keys when it was. */
async function when(page: Page, what: string, text: string): Promise<void> {
	await tabTo(page, `${what}: now`);
	await page.keyboard.press('Enter');
	await expect(page.getByLabel(what, { exact: true })).toBeFocused();
	await type(page, text);
}

type Whole = {
	evidence: {
		events: { kind: string; at: number; drying: { startedAt: number } | null }[];
		attempts: { at: number }[];
		readings: { quantity: string; takenAt: number; typedText: string }[];
	};
	findings: { quantity: string; n: number; estimate: number | null; subject: { condition: string | null } }[];
};
const spoolOf = async (id: string): Promise<Whole> => (await (await fetch(`${server.url}/api/v1/spools/${id}/findings`)).json()) as Whole;

/** The hour of a moment in Vienna. */
const hourOf = (at: number) =>
	Number(new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Vienna', hour: 'numeric', hour12: false }).format(at));

test('yesterday’s notes are entered by keys, in any order, and stand in the order in which it happened', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Yesterday', [{ at: new Date(Date.now() - 9 * 86_400_000).toISOString() }]);
	const spoolId = spoolIds[0] as string;
	await api(server.url, 'dryers', { id: v7(), name: 'Box' });

	// The print first: nothing is known of a drying yet.
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await when(page, 'when', 'yesterday 14:00');
	await expect(page.getByText('14:00, until you put it back')).toBeVisible();
	await page.getByRole('textbox', { name: /Full spool of/ }).focus();
	await type(page, '1290.0');
	await page.keyboard.press('Enter');
	// What was said holds for the next one, in sight; then it is changed.
	await expect(page.getByLabel('when', { exact: true })).toHaveValue('yesterday 14:00');
	await page.getByLabel('when', { exact: true }).fill('yesterday 8:00');
	await page.getByRole('textbox', { name: /Full spool of/ }).focus();
	await type(page, '1294.0');
	await page.keyboard.press('Enter');
	await allKept(page);

	await open(page, `${server.url}/trials/${trialId}/drying`);
	await page.getByRole('checkbox').first().focus();
	await page.keyboard.press('Space');
	await when(page, 'started', 'yesterday 9:00');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/^Saved: .* at 65 °C, finished .*13:00/)).toBeVisible();
	await expect(page.getByText('did not dry')).toHaveCount(0);

	await open(page, `${server.url}/trials/${trialId}/prints`);
	await expect(page.getByRole('radio', { name: 'dried', exact: true })).toBeChecked();
	await when(page, 'printed', 'yesterday 8:30');
	await expect(page.getByRole('radio', { name: 'as received' })).toBeChecked();
	await page.getByLabel('printed', { exact: true }).fill('yesterday 18:00');
	await expect(page.getByRole('radio', { name: 'dried', exact: true })).toBeChecked();
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText(/^Saved: /)).toBeVisible();

	const { findings } = await spoolOf(spoolId);
	expect(findings.find((f) => f.quantity === 'dryingLoss')).toMatchObject({ n: 2 });
	expect(findings.find((f) => f.quantity === 'dryingLoss')?.estimate).toBeCloseTo((4 / 1294) * 100, 0);
	const { tables } = (await (await fetch(`${server.url}/api/v1/trials/${trialId}/bundle`)).json()) as {
		tables: Record<string, Record<string, unknown>[]>;
	};
	const rows = (name: string) => tables[name] ?? [];
	expect(
		rows('readings')
			.filter((r) => r.quantity === 'grossMass')
			.map((r) => hourOf(Date.parse(String(r.takenAt))))
	).toEqual([14, 8]);
	expect(rows('attempts').map((r) => hourOf(Date.parse(String(r.at))))).toEqual([18]);
	expect(rows('drying-runs').map((r) => hourOf(Date.parse(String(r.startedAt))))).toEqual([9]);
});

test('what is no time, or has not been yet, is told beside it and nothing is stored', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Tomorrow', [{}]);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	await when(page, 'printed', 'some day');
	await expect(page.getByText('This is no time; try yesterday 9:00')).toBeVisible();
	await page.keyboard.press('Control+Enter');
	await page.getByLabel('printed', { exact: true }).fill('tomorrow 9:00');
	await expect(page.getByText('This is in the future')).toBeVisible();
	await page.keyboard.press('Control+Enter');
	// Nothing was stored, here or on the server.
	await expect(page.getByText(/^Saved: /)).toHaveCount(0);
	const { spools } = (await (await fetch(`${server.url}/api/v1/spools`)).json()) as { spools: { id: string; prints: number }[] };
	expect(spools.find((s) => s.id === spoolIds[0])?.prints).toBe(0);
	await page.getByRole('button', { name: 'back to now' }).click();
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText(/^Saved: /)).toBeVisible();
	await expect(page.getByRole('heading', { name: /^1 print of/ })).toBeVisible();
});

test('the field waits for what reads it: nobody who is quick is told that yesterday is no time', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'In a hurry', [{}]);
	await open(page, `${server.url}/trials/${trialId}/prints`);
	let arrive = (): void => undefined;
	const arrived = new Promise<void>((resolve) => (arrive = resolve));
	await page.route('**/_app/immutable/**', async (route) => {
		await arrived;
		await route.continue();
	});
	const asked = page.waitForRequest('**/_app/immutable/**');
	await page.getByRole('button', { name: /^printed:/ }).click();
	await asked;
	const field = page.getByLabel('printed', { exact: true });
	await expect(field).toHaveCount(0);
	arrive();
	await expect(field).toBeFocused();
	await page.keyboard.type('yesterday 9:00');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText(/^Saved: /)).toBeVisible();
});

test('the last one typed is the one taken back, whenever it was', async ({ page }) => {
	const { trialId } = await makeTrial(server.url, 'Taken back', [{}]);
	await open(page, `${server.url}/trials/${trialId}/moisture`);
	await type(page, '1300.0');
	await page.keyboard.press('Enter');
	await when(page, 'when', '-2 h');
	await page.getByRole('textbox', { name: /Full spool of/ }).focus();
	await type(page, '1200.0');
	await page.keyboard.press('Enter');
	await page.keyboard.press('Backspace');
	await expect(page.getByText(/^Marked invalid:/)).toContainText('1200.0');
});
