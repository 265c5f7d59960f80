import { expect, test } from '@playwright/test';
import { v7 } from 'uuid';
import { api, allKept, makeTrial, open } from './bench';
import { TestServer } from './server';

let server: TestServer;
test.beforeAll(async () => (server = await TestServer.start({ ownMariaDb: true })));
test.afterAll(() => server.stop());

/** How often each is killed: once in `npm test`, many times in `npm run test:kill`. */
const KILLS = Number(process.env.DRAUGHT_KILLS ?? 1);

const at = () => new Date().toISOString();

type Found = { findings: { quantity: string; n: number; inputs: { used: string[] } }[] };
async function keptIds(spoolId: string): Promise<string[]> {
	const found = (await (await fetch(`${server.url}/api/v1/spools/${spoolId}/findings`)).json()) as Found;
	return found.findings.find((f) => f.quantity === 'diameterMean')?.inputs.used ?? [];
}

async function expectAllKept(spoolId: string, acknowledged: readonly string[], least: number): Promise<void> {
	const kept = await keptIds(spoolId);
	expect(acknowledged.length).toBeGreaterThanOrEqual(least);
	expect(acknowledged.filter((id) => !kept.includes(id))).toEqual([]);
	expect(new Set(kept).size).toBe(kept.length);
}

/** Sends readings without pause until the other side is gone; returns the ids that were acknowledged. */
async function sendUntilGone(spoolId: string, afterAcknowledged: number, kill: () => Promise<void> | void): Promise<string[]> {
	const acknowledged: string[] = [];
	const killed: Promise<void>[] = [];
	let gone = false;
	const sender = async () => {
		while (!gone) {
			const id = v7();
			try {
				const { status } = await api(server.url, 'readings', { id, spoolId, quantity: 'diameter', typed: '1.75', takenAt: at() });
				if (status === 201) acknowledged.push(id);
				else gone = true;
			} catch {
				gone = true;
			}
			if (acknowledged.length >= afterAcknowledged && killed.length === 0) killed.push(Promise.resolve(kill()));
		}
	};
	await Promise.all([1, 2, 3].map(sender));
	await Promise.all(killed);
	return acknowledged;
}

test('server killed in mid-capture: every acknowledged reading is there once', async () => {
	for (let n = 0; n < KILLS; n++) {
		const { spoolIds } = await makeTrial(server.url, `Kill the server ${n}`, [{}]);
		// Another moment of the work each time.
		const acknowledged = await sendUntilGone(spoolIds[0] as string, 40 + n, () => server.kill());
		await server.run();
		await expectAllKept(spoolIds[0] as string, acknowledged, 40 + n);
	}
});

test('MariaDB killed in mid-capture: every acknowledged reading is there once, and the server recovers by itself', async () => {
	for (let n = 0; n < KILLS; n++) {
		const { spoolIds } = await makeTrial(server.url, `Kill the database ${n}`, [{}]);
		const acknowledged = await sendUntilGone(spoolIds[0] as string, 40 + n, () => server.killMariaDb());
		expect((await fetch(`${server.url}/healthz`)).status).toBe(503);
		server.restartMariaDb();
		await server.answering();
		await expectAllKept(spoolIds[0] as string, acknowledged, 40 + n);
	}
});

test('an open capture page goes on while the server is away, and the outbox drains when it returns', async ({ page }) => {
	const { trialId, spoolIds } = await makeTrial(server.url, 'Outbox', [{}]);
	await open(page, `${server.url}/trials/${trialId}/diameter`);
	await page.keyboard.type('1.75');
	await page.keyboard.press('Enter');
	await allKept(page);
	await server.kill();
	for (const typed of ['1.76', '1.74', '1.75']) {
		await page.keyboard.type(typed);
		await page.keyboard.press('Enter');
	}
	await expect(page.getByTestId('outbox')).toContainText('3 waiting');
	await expect(page.getByText('Spot 3 of 5')).toBeVisible();
	await server.run();
	await allKept(page);
	expect(await keptIds(spoolIds[0] as string)).toHaveLength(4);
	await page.reload();
	await expect(page.getByText('Spot 3 of 5')).toBeVisible();
});
