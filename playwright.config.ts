import { BROWSER_ZONE } from './tests/e2e/zone';
import { defineConfig } from '@playwright/test';
import { browserArguments } from './tests/e2e/browser';

const reports = process.env.DRAUGHT_REPORTS ?? '.cache/reports';

/** Each spec starts its own server on its own port and database (tests/e2e/server.ts): a kill in one cannot disturb another. */
export default defineConfig({
	testDir: 'tests/e2e',
	testMatch: '*.spec.ts',
	workers: 1,
	retries: 0,
	forbidOnly: true,
	fullyParallel: false,
	// Limits are for what hangs; how fast a machine is, or what else it does, must not matter.
	timeout: 600_000,
	expect: { timeout: 30_000 },
	outputDir: '.cache/playwright',
	reporter: [['list'], ['json', { outputFile: `${reports}/playwright.json` }]],
	use: {
		browserName: 'chromium',
		viewport: { width: 1280, height: 800 },
		actionTimeout: 30_000,
		timezoneId: BROWSER_ZONE,
		locale: 'en-GB',
		screenshot: 'only-on-failure',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: browserArguments
		}
	}
});
