import { chromium } from '@playwright/test';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { browserArguments } from '../../tests/e2e/browser';
import { TestServer } from '../../tests/e2e/server';
import { runTask } from './task';

type Shot = { name: string; path: string; width?: number; height?: number; theme?: 'light' | 'dark'; after?: string };

/** npm run screenshots: one current picture per main view. */
await runTask(async () => {
	const out = join(import.meta.dirname, '../../docs/screenshots');
	await mkdir(out, { recursive: true });
	const server = await TestServer.start({ demo: true });
	const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: browserArguments });
	try {
		const trial = new URL((await fetch(server.url)).url).pathname;
		const { spools } = (await (await fetch(`${server.url}/api/v1/spools?q=moss`)).json()) as { spools: { id: string }[] };
		const { spools: gifts } = (await (await fetch(`${server.url}/api/v1/spools?q=chalk`)).json()) as { spools: { id: string }[] };
		const { spools: logged } = (await (await fetch(`${server.url}/api/v1/spools?q=plainsong`)).json()) as {
			spools: { id: string; code: string }[];
		};
		const shots: Shot[] = [
			{ name: 'trial-sheet', path: trial },
			{ name: 'trial-sheet-dark', path: trial, theme: 'dark' },
			{ name: 'intake', path: `${trial}/intake` },
			{ name: 'diameter', path: `${trial}/diameter?spool=${spools[0]?.id}` },
			{ name: 'diameter-phone', path: `${trial}/diameter?spool=${gifts[0]?.id}`, width: 390, height: 844 },
			{ name: 'diameter-log', path: `${trial}/diameter?spool=${logged.find((s) => s.code.endsWith('6'))?.id}` },
			{ name: 'moisture', path: `${trial}/moisture?spool=${spools[0]?.id}` },
			{ name: 'drying', path: `${trial}/drying` },
			{ name: 'prints', path: `${trial}/prints?spool=${spools[0]?.id}` },
			{ name: 'strength', path: `${trial}/strength?spool=${spools[0]?.id}` },
			{ name: 'cost', path: `${trial}/cost` },
			{ name: 'pick', path: `${trial}/pick`, after: '20,000 draws' },
			{ name: 'recall', path: '/spools?q=petg' },
			{ name: 'spool', path: `/spools/${spools[0]?.id}` },
			{ name: 'scoring', path: `${trial}/prints/score`, width: 390, height: 844, theme: 'dark' },
			{ name: 'pieces', path: '/pieces', after: 'Printed solid' },
			{ name: 'workshop', path: '/workshop' },
			{ name: 'handbook', path: '/handbook' },
			{ name: 'exchange', path: '/exchange' }
		];
		for (const shot of shots) {
			const page = await browser.newPage({
				viewport: { width: shot.width ?? 1280, height: shot.height ?? 800 },
				colorScheme: shot.theme ?? 'light',
				reducedMotion: 'reduce',
				timezoneId: 'Europe/Vienna',
				locale: 'en-GB'
			});
			await page.goto(server.url + shot.path);
			await page.waitForSelector('html[data-ready]');
			await page.evaluate(() => document.fonts.ready);
			if (shot.after) await page.getByText(shot.after).first().waitFor();
			await page.screenshot({ path: join(out, `${shot.name}.png`) });
			await page.close();
			console.log(`draught: ${shot.name}.png`);
		}
	} finally {
		await browser.close();
		await server.stop();
	}
});
