import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { addUp, closingLine, sumChecks, sumCoverage, sumPlaywright, sumVitest } from './closing-line.mjs';

const vitest = (statuses: string[], more: object = {}) => ({
	success: !statuses.includes('failed'),
	testResults: [
		{
			name: 'a.test.ts',
			status: statuses.includes('failed') ? 'failed' : 'passed',
			assertionResults: statuses.map((status) => ({ status }))
		}
	],
	...more
});
const playwright = (stats: object, errors: object[] = []) => ({
	stats: { expected: 0, unexpected: 0, flaky: 0, skipped: 0, ...stats },
	errors
});
const checks = 'lint passed\nformat passed\ntypes passed\nimports passed\nknip passed\n';

describe('closing line', () => {
	it('adds both runners and the checks', () => {
		const sum = addUp([
			sumChecks(checks),
			sumVitest(vitest(['passed', 'passed', 'pending'])),
			sumPlaywright(playwright({ expected: 4, skipped: 1 }))
		]);
		expect(closingLine(sum)).toBe('6 passed, 0 failed, 2 skipped');
	});
	it('a failed check and one that did not run are failures', () => {
		expect(sumChecks('lint passed\nformat passed\ntypes failed\n')).toMatchObject({
			failed: 3,
			remarks: ['types: failed', 'imports: did not run', 'knip: did not run']
		});
		expect(sumChecks(null).failed).toBe(5);
	});
	it('a file that could not load and an unhandled error are failures', () => {
		expect(sumVitest({ success: false, testResults: [{ name: 'b.test.ts', status: 'failed', assertionResults: [] }] }).failed).toBe(1);
		expect(sumVitest(vitest(['passed'], { success: false })).failed).toBe(1);
	});
	it('a failed test is named with its file and the first line of why', () => {
		const report = {
			success: false,
			testResults: [
				{
					name: 'c.test.ts',
					status: 'failed',
					assertionResults: [{ status: 'failed', fullName: 'a spool weighs', failureMessages: ['1 is not 2\n at c'] }]
				}
			]
		};
		expect(sumVitest(report)).toMatchObject({ failed: 1, remarks: ['failed: a spool weighs (c.test.ts): 1 is not 2'] });
	});
	it('flaky is failed, an error outside tests is failed', () => {
		expect(sumPlaywright(playwright({ expected: 3, flaky: 1 }, [{ message: 'no browser' }]))).toMatchObject({ passed: 3, failed: 2 });
	});
	it('too few tested lines of a part, or no summary of them, is a failure', () => {
		const lines = (covered: number, total: number) => ({ lines: { covered, total } });
		const summary = (core: number, server: number) => ({
			total: lines(0, 9),
			'/w/src/lib/core/a.ts': lines(core, 100),
			'/w/src/lib/core/b.ts': lines(100, 100),
			'/w/src/lib/server/c.ts': lines(server, 100)
		});
		expect(sumCoverage(summary(90, 85)).failed).toBe(0);
		expect(sumCoverage(summary(89, 85)).failed).toBe(1);
		expect(sumCoverage(summary(89, 84)).failed).toBe(2);
		expect(sumCoverage(summary(90, 85)).remarks[0]).toBe('core: 95.0 % of 200 lines are tested, at least 95 % wanted');
		expect(sumCoverage({}).failed).toBe(2);
		expect(sumCoverage(null).failed).toBe(1);
	});
	it('a missing report or no test at all is one failure', () => {
		expect(sumVitest(null).failed).toBe(1);
		expect(sumPlaywright(undefined).failed).toBe(1);
		expect(sumVitest({ success: true, testResults: [] }).failed).toBe(1);
		expect(sumPlaywright(playwright({})).failed).toBe(1);
	});
	it('the program ends with the line alone and fails when anything failed', () => {
		const directory = mkdtempSync(join(tmpdir(), 'draught-closing-'));
		try {
			writeFileSync(join(directory, 'checks.txt'), checks);
			writeFileSync(join(directory, 'vitest.json'), JSON.stringify(vitest(['passed'])));
			writeFileSync(join(directory, 'playwright.json'), JSON.stringify(playwright({ expected: 1 })));
			const lines = { lines: { covered: 1, total: 1 } };
			writeFileSync(
				join(directory, 'coverage-summary.json'),
				JSON.stringify({ '/w/src/lib/core/a.ts': lines, '/w/src/lib/server/b.ts': lines })
			);
			const good = execFileSync('node', ['scripts/closing-line.mjs', directory], { encoding: 'utf8' });
			expect(good.trim().split('\n').at(-1)).toBe('2 passed, 0 failed, 0 skipped');
			rmSync(join(directory, 'playwright.json'));
			const bad = spawnSync('node', ['scripts/closing-line.mjs', directory], { encoding: 'utf8' });
			expect(bad.stdout.trim().split('\n').at(-1)).toBe('1 passed, 1 failed, 0 skipped');
			expect(bad.status).toBe(1);
		} finally {
			rmSync(directory, { recursive: true });
		}
	});
});
