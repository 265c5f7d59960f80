import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import type { PickInput } from '../../src/lib/core/answers/pick/types';
import { browserArguments } from '../../tests/e2e/browser';

const WORKERS = join(import.meta.dirname, '../../build/client/_app/immutable/workers');
const PAGE = 'http://bench.localhost/';
const ROUNDS = 3;

/** Milliseconds of a pick in a browser, by the worker as it was built: each time a new one, as the page makes it, from its start to its answer. */
export async function pickInWorkerMs(input: PickInput, draws: number): Promise<number[]> {
	const name = readdirSync(WORKERS).find((file) => /^pick\.worker-.*\.js$/.test(file));
	if (!name) throw new Error('the build has no worker of the pick');
	const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: browserArguments });
	try {
		const page = await browser.newPage();
		await page.route('**/*', async (route) => {
			const isWorker = route.request().url().endsWith(name);
			await route.fulfill(
				isWorker
					? { contentType: 'text/javascript', body: readFileSync(join(WORKERS, name), 'utf8') }
					: { contentType: 'text/html', body: '<!doctype html>' }
			);
		});
		await page.goto(PAGE);
		const times: number[] = [];
		for (let i = 0; i < ROUNDS; i++)
			times.push(
				await page.evaluate(
					async ([name, input, draws]) => {
						const start = performance.now();
						const worker = new Worker(`/${name}`, { type: 'module' });
						const answer = new Promise<{ value?: { rows?: unknown[] } }>((done, failed) => {
							worker.onmessage = ({ data }) => done(data as { value?: { rows?: unknown[] } });
							worker.onerror = (event) => failed(new Error(event.message));
						});
						// What comlink sends for pick(input, draws).
						const argumentList = [input, draws].map((value) => ({ type: 'RAW', value }));
						worker.postMessage({ id: 'bench', type: 'APPLY', path: ['pick'], argumentList });
						const { value } = await answer;
						if (!value?.rows?.length) throw new Error('the worker picked nothing');
						worker.terminate();
						return performance.now() - start;
					},
					[name, input, draws] as const
				)
			);
		return times;
	} finally {
		await browser.close();
	}
}
