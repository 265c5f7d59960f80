// Sums the fresh reports of one test run into the closing line `N passed, N failed, N skipped`.
// Usage: node scripts/closing-line.mjs REPORTS_DIRECTORY
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const CHECKS = ['lint', 'format', 'types', 'imports', 'knip'];

/** @typedef {{ passed: number, failed: number, skipped: number, remarks: string[] }} Sum */

/** What lint, format, types, imports and knip said: a failed one, or one that did not run, counts as one failure. @param {string | null} text */
export function sumChecks(text) {
	/** @type {Sum} */
	const sum = { passed: 0, failed: 0, skipped: 0, remarks: [] };
	const states = new Map((text ?? '').split('\n').map((line) => /** @type {[string, string]} */ (line.split(' '))));
	for (const check of CHECKS) {
		if (states.get(check) === 'passed') continue;
		sum.failed += 1;
		sum.remarks.push(`${check}: ${states.get(check) ?? 'did not run'}`);
	}
	return sum;
}

/** Vitest's JSON report. A file that failed to load has no tests of its own and counts as one failure. @param {any} report */
export function sumVitest(report) {
	/** @type {Sum} */
	const sum = { passed: 0, failed: 0, skipped: 0, remarks: [] };
	if (!report || !Array.isArray(report.testResults)) return missing('vitest report is missing or unreadable');
	for (const file of report.testResults) {
		const before = sum.failed;
		for (const test of file.assertionResults) {
			if (test.status === 'passed') sum.passed += 1;
			else if (test.status === 'failed') {
				sum.failed += 1;
				// The lines before scroll away: what failed, and the first line of why, stands at the end.
				sum.remarks.push(`failed: ${test.fullName ?? ''} (${file.name}): ${firstLine(test.failureMessages?.[0])}`);
			} else sum.skipped += 1;
		}
		if (file.status === 'failed' && sum.failed === before) {
			sum.failed += 1;
			sum.remarks.push(`vitest could not run ${file.name}`);
		}
	}
	// success is false without a failed test when an error escaped every test.
	if (report.success === false && sum.failed === 0) {
		sum.failed += 1;
		sum.remarks.push('vitest reports an unhandled error');
	}
	if (sum.passed + sum.failed + sum.skipped === 0) return missing('vitest ran no test');
	return sum;
}

/** Lines that tests go through, in per cent; below it a part counts as one failure. */
const COVERED = { core: 95, server: 85 };

/** Vitest's coverage summary by part. A missing one is one failure: limits that nobody looks at hold nothing. @param {any} summary */
export function sumCoverage(summary) {
	/** @type {Sum} */
	const sum = { passed: 0, failed: 0, skipped: 0, remarks: [] };
	if (!summary) return missing('coverage summary is missing or unreadable');
	for (const [part, least] of Object.entries(COVERED)) {
		const files = Object.entries(summary).filter(([file]) => file.includes(`/src/lib/${part}/`));
		/** @param {string} key */
		const linesIn = (key) => files.reduce((n, [, file]) => n + file.lines[key], 0);
		const [covered, total] = [linesIn('covered'), linesIn('total')];
		const percent = total ? (100 * covered) / total : 0;
		const said = `${part}: ${percent.toFixed(1)} % of ${total} lines are tested, at least ${least} % wanted`;
		if (percent < least) sum.failed += 1;
		sum.remarks.push(said);
	}
	return sum;
}

/** Playwright's JSON report; flaky counts as failed, did-not-run as skipped. @param {any} report */
export function sumPlaywright(report) {
	/** @type {Sum} */
	const sum = { passed: 0, failed: 0, skipped: 0, remarks: [] };
	if (!report || !report.stats) return missing('playwright report is missing or unreadable');
	sum.passed += report.stats.expected;
	sum.failed += report.stats.unexpected + report.stats.flaky;
	sum.skipped += report.stats.skipped;
	for (const error of report.errors ?? []) {
		sum.failed += 1;
		sum.remarks.push(`playwright: ${firstLine(error.message ?? error)}`);
	}
	if (sum.passed + sum.failed + sum.skipped === 0) return missing('playwright ran no test');
	return sum;
}

/** @param {unknown} said */
function firstLine(said) {
	return String(said ?? 'no reason given').split('\n')[0];
}

/** @param {string} remark @returns {Sum} */
function missing(remark) {
	return { passed: 0, failed: 1, skipped: 0, remarks: [remark] };
}

/** @param {Sum[]} sums @returns {Sum} */
export function addUp(sums) {
	return sums.reduce((all, one) => ({
		passed: all.passed + one.passed,
		failed: all.failed + one.failed,
		skipped: all.skipped + one.skipped,
		remarks: [...all.remarks, ...one.remarks]
	}));
}

/** @param {Sum} sum */
export function closingLine(sum) {
	return `${sum.passed} passed, ${sum.failed} failed, ${sum.skipped} skipped`;
}

/** @param {string} path */
function read(path) {
	try {
		return readFileSync(path, 'utf8');
	} catch {
		return null;
	}
}

/** @param {string} path */
function readJson(path) {
	try {
		return JSON.parse(read(path) ?? '');
	} catch {
		return null;
	}
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
	const directory = process.argv[2] ?? '.';
	const sum = addUp([
		sumChecks(read(join(directory, 'checks.txt'))),
		sumVitest(readJson(join(directory, 'vitest.json'))),
		sumCoverage(readJson(join(directory, 'coverage-summary.json'))),
		sumPlaywright(readJson(join(directory, 'playwright.json')))
	]);
	for (const remark of sum.remarks) console.log(remark);
	console.log(closingLine(sum));
	process.exitCode = sum.failed > 0 || sum.passed === 0 ? 1 : 0;
}
