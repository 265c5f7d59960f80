import { chromium, type Page } from '@playwright/test';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { browserArguments } from '../../tests/e2e/browser';
import { TestServer } from '../../tests/e2e/server';
import { runTask } from './task';

type Shot = {
	name: string;
	path: string;
	width?: number;
	height?: number;
	theme?: 'light' | 'dark';
	after?: string;
	prepare?: (page: Page) => Promise<void>;
};

/** Four clicks on the corners of the gap of a drawn spike pair, in shares of the picture. */
/** The chances of all draws, not of the first few. */
async function allDraws(page: Page): Promise<void> {
	const method = page.getByText('Method', { exact: true });
	await method.click();
	await page.getByText('20,000 draws').waitFor();
	await method.click();
	await page.evaluate(() => window.scrollTo(0, 0));
}

async function setCorners(page: Page): Promise<void> {
	const box = await page.getByTestId('photo-cross').boundingBox();
	if (!box) throw new Error('no photograph to click on');
	for (const [x, y] of [
		[30.5, 9],
		[89.5, 9],
		[81.5, 83],
		[38.5, 83]
	] as const)
		await page.mouse.click(box.x + (box.width * x) / 120, box.y + (box.height * y) / 90);
	await page.getByRole('button', { name: 'Save' }).waitFor();
}

/** Addresses that only a page of the demo knows: the first photograph whose strings can be measured. */
async function photosOf(url: string): Promise<{ strings: string }> {
	const trials = (await (await fetch(`${url}/trials`)).text()).match(/\/trials\/[0-9a-f-]{36}/g) ?? [];
	for (const trial of new Set(trials)) {
		const [strings] =
			(await (await fetch(`${url}${trial}/prints/photos`)).text()).match(/\/trials\/[0-9a-f-]{36}\/prints\/strings\/[0-9a-f-]{36}/) ?? [];
		if (strings) return { strings };
	}
	throw new Error('the demo has no photograph of spikes');
}

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
		const photos = await photosOf(server.url);
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
			{ name: 'pick', path: `${trial}/pick`, prepare: allDraws },
			{ name: 'recall', path: '/spools?q=petg' },
			{ name: 'spool', path: `/spools/${spools[0]?.id}` },
			{ name: 'scoring', path: `${trial}/prints/score`, width: 390, height: 844, theme: 'dark' },
			{ name: 'pieces', path: '/pieces', after: 'Printed solid' },
			{ name: 'report', path: `${trial}/report`, height: 1400 },
			{ name: 'scorecard', path: `/spools/${spools[0]?.id}/scorecard`, height: 1400 },
			{ name: 'strings', path: photos.strings, prepare: setCorners }
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
			await page.waitForFunction(() => document.querySelector('[data-later]') === null);
			await page.evaluate(() => document.fonts.ready);
			if (shot.after) await page.getByText(shot.after).first().waitFor();
			await shot.prepare?.(page);
			await page.screenshot({ path: join(out, `${shot.name}.png`) });
			await page.close();
			console.log(`draught: ${shot.name}.png`);
		}
	} finally {
		await browser.close();
		await server.stop();
	}
});
