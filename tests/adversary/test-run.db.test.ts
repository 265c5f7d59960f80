import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { chmodSync, cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { freePort, throwAwayParent } from '../support/instance';

// `npm test` itself, with stand-ins for the programs that check and test: what it tells the machine that started it.

const roots: string[] = [];
afterEach(() => {
	for (const root of roots.splice(0)) rmSync(root, { recursive: true, force: true });
});

/** A tree with the real scripts, in which every check passes and so many tests pass and fail. */
function treeWith(passed: number, failed: number): string {
	const root = mkdtempSync(join(throwAwayParent(), 'draught-tree-'));
	roots.push(root);
	cpSync('scripts', join(root, 'scripts'), { recursive: true });
	const bin = join(root, 'node_modules/.bin');
	for (const made of [bin, ...['src', 'static', 'drizzle', 'build'].map((d) => join(root, d))]) mkdirSync(made, { recursive: true });
	for (const file of ['package-lock.json', 'svelte.config.js', 'vite.config.ts']) writeFileSync(join(root, file), '');
	writeFileSync(join(root, 'node_modules/.draught-lock'), createHash('sha256').update('').digest('hex'));
	writeFileSync(join(root, 'build/.draught-built'), '');
	const results = [...Array<string>(passed).fill('passed'), ...Array<string>(failed).fill('failed')].map((status) => ({ status }));
	const vitest = JSON.stringify({ success: failed === 0, testResults: [{ name: 'a.test.ts', assertionResults: results }] });
	const playwright = JSON.stringify({ stats: { expected: 1, unexpected: 0, flaky: 0, skipped: 0 } });
	const lines = { lines: { covered: 1, total: 1 } };
	const coverage = JSON.stringify({ '/w/src/lib/core/a.ts': lines, '/w/src/lib/server/b.ts': lines });
	const programs = {
		vitest: `cat >"$DRAUGHT_REPORTS/vitest.json" <<'E'\n${vitest}\nE\ncat >"$DRAUGHT_REPORTS/coverage-summary.json" <<'E'\n${coverage}\nE`,
		playwright: `cat >"$DRAUGHT_REPORTS/playwright.json" <<'E'\n${playwright}\nE`
	};
	for (const name of ['eslint', 'prettier', 'svelte-check', 'svelte-kit', 'depcruise', 'knip', 'vitest', 'playwright']) {
		writeFileSync(join(bin, name), `#!/bin/sh\n${name in programs ? programs[name as keyof typeof programs] : ''}\n`);
		chmodSync(join(bin, name), 0o755);
	}
	return root;
}

async function run(root: string): Promise<{ code: number | null; last: string | undefined; left: string[] }> {
	const before = new Set(readdirSync(throwAwayParent()));
	const env = { ...process.env, DRAUGHT_TEST_DB_PORT: String(await freePort()) };
	const ended = spawnSync(join(root, 'scripts/test.sh'), { encoding: 'utf8', env });
	const left = readdirSync(throwAwayParent()).filter((name) => name.startsWith('draught-test-') && !before.has(name));
	return { code: ended.status, last: ended.stdout.trim().split('\n').at(-1), left };
}

describe('npm test', () => {
	it('ends with 0 when everything passed, and leaves nothing', async () => {
		expect(await run(treeWith(3, 0))).toEqual({ code: 0, last: '4 passed, 0 failed, 0 skipped', left: [] });
	});

	it('ends with 1 when one test failed', async () => {
		expect(await run(treeWith(3, 1))).toEqual({ code: 1, last: '4 passed, 1 failed, 0 skipped', left: [] });
	});
});
