import { chromium, type Browser } from '@playwright/test';
import { browserArguments } from '../../tests/e2e/browser';
import { line, percentile } from './timing';

/** How pages of a trial open in a real browser: longest task and largest paint, at full speed and at a quarter of it, as on a phone. */

const ROUNDS = 3;
const PAGES = ['', '/diameter', '/prints', '/pick', '/rules'];
const LIMITS = [
	{ slower: 1, taskMs: 100, paintMs: 1000 },
	{ slower: 4, taskMs: 300, paintMs: 2000 }
];

async function openPage(browser: Browser, url: string, slower: number): Promise<{ task: number; paint: number }> {
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
	const page = await context.newPage();
	await page.addInitScript(() => {
		const seen = { task: 0, paint: 0 };
		Object.assign(window, { seen });
		new PerformanceObserver((list) => list.getEntries().forEach((e) => (seen.task = Math.max(seen.task, e.duration)))).observe({
			type: 'longtask',
			buffered: true
		});
		new PerformanceObserver((list) => list.getEntries().forEach((e) => (seen.paint = e.startTime))).observe({
			type: 'largest-contentful-paint',
			buffered: true
		});
	});
	const devTools = await context.newCDPSession(page);
	await devTools.send('Emulation.setCPUThrottlingRate', { rate: slower });
	await page.goto(url);
	await page.waitForSelector('html[data-ready]');
	await page.waitForFunction(() => document.querySelector('[data-later]') === null);
	await page.waitForLoadState('networkidle');
	const seen = await page.evaluate(() => (window as unknown as { seen: { task: number; paint: number } }).seen);
	await context.close();
	return seen;
}

export async function benchPages(trialUrl: string, spools: number): Promise<void> {
	const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: browserArguments });
	try {
		for (const { slower, taskMs, paintMs } of LIMITS) {
			const middle = async (url: string) => {
				const rounds: { task: number; paint: number }[] = [];
				for (let i = 0; i < ROUNDS; i++) rounds.push(await openPage(browser, url, slower));
				const of = (what: 'task' | 'paint') =>
					percentile(
						rounds.map((r) => r[what]),
						0.5
					);
				return { task: of('task'), paint: of('paint') };
			};
			// The lightest page of a trial: its frame, and a sentence.
			const plain = await middle(`${trialUrl}/prints/queue`);
			for (const path of PAGES) {
				const { task, paint } = await middle(trialUrl + path);
				const what = `${spools} spools, ${path || '/'} at 1/${slower} of the speed`;
				line(`${what}: longest task`, task, taskMs, 'the lightest page', plain.task || 1);
				line(`${what}: largest paint`, paint, paintMs, 'the lightest page', plain.paint || 1);
			}
		}
	} finally {
		await browser.close();
	}
}
