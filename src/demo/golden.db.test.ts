import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { CORE_VERSION } from '$lib/core/version';
import { pagesInShort } from '../../tests/support/pages-in-short';
import { startServer, stopServer } from '../lib/server/running/context';
import { testDatabase, type TestDatabase } from '../../tests/support/database';
import { partsOf, pickInputOf, pickOf, sheetOf, shownSheetOf } from '../lib/server/answers/trials/findings';
import { listTrials, loadTrial } from '../lib/server/answers/trials/load';
import { seedDemo } from './seed';
import { foundBy } from '../lib/server/answers/findings/stations';

/** Every finding of the demo as one version of core computes it. `npm run golden` writes it anew, after CORE_VERSION was raised. */
const GOLDEN = 'tests/reference/demo-findings.txt';
/** What the server gives every page of it. */
const PAGES = 'tests/reference/demo-pages.txt';
const NOW = Date.parse('2026-11-20T12:00:00Z');

let bench: TestDatabase;
beforeAll(async () => {
	vi.useFakeTimers({ toFake: ['Date'], now: NOW });
	bench = await testDatabase();
	await seedDemo(bench.db, NOW);
});
afterAll(async () => {
	await bench.close();
	vi.useRealTimers();
});

/** Ten digits: more than any reader sees, fewer than the last bits in which machines may differ. */
const figure = (value: number | null | undefined): string =>
	value === null || value === undefined ? '-' : String(Number(value.toPrecision(10)));

async function findings(): Promise<string> {
	const lines: string[] = [];
	for (const { id } of await listTrials(bench.db)) {
		const whole = await loadTrial(bench.db, id);
		const codeOf = (spoolId: string) => whole.spools.find((s) => s.spool.id === spoolId)?.spool.code ?? '?';
		lines.push(`# ${whole.head.name}`);
		for (const row of sheetOf(whole).rows)
			for (const cell of row.cells.flatMap((c) => c.findings))
				lines.push(
					[
						codeOf(row.spoolId),
						cell.quantity.replace(/[0-9a-f-]{36}/, 'id'),
						`n ${cell.n}`,
						figure(cell.estimate),
						cell.interval ? `${figure(cell.interval.low)} to ${figure(cell.interval.high)} ${cell.interval.kind}` : 'no interval',
						cell.grade,
						cell.method,
						cell.sampling.kind
					].join(' | ')
				);
		for (const row of pickOf(whole).rows)
			lines.push(`pick | ${row.place} | tier ${row.tier ?? '-'} | ${codeOf(row.spoolId)} | ${figure(row.score)} | ${figure(row.cost)}`);
	}
	return `core ${CORE_VERSION}\n${lines.join('\n')}\n`;
}

it('the demo’s findings are those of this version of core', async () => {
	const now = await findings();
	if (process.env.DRAUGHT_WRITE_GOLDEN === 'yes') writeFileSync(GOLDEN, now);
	expect(existsSync(GOLDEN), `${GOLDEN} is missing: npm run golden`).toBe(true);
	const golden = readFileSync(GOLDEN, 'utf8');
	expect(golden.split('\n')[0], 'CORE_VERSION was changed: look at what changed with it, then npm run golden').toBe(`core ${CORE_VERSION}`);
	expect(now, 'a number came out differently: raise CORE_VERSION, then npm run golden').toBe(golden);
});

it('what pages of the demo share comes out of JSON as it went in', async () => {
	const changed: string[] = [];
	const look = (what: string, value: unknown) => {
		try {
			expect(JSON.parse(JSON.stringify(value))).toEqual(value);
		} catch (cause) {
			changed.push(`${what}: ${String(cause)}`);
		}
	};
	for (const { id } of await listTrials(bench.db)) {
		const whole = await loadTrial(bench.db, id);
		look('basis', whole.basis);
		look('sheet', shownSheetOf(whole));
		look('pick', { ...pickOf(whole), input: pickInputOf(whole), parts: partsOf(whole) });
		for (const evidence of whole.spools)
			look(evidence.spool.code, { evidence, found: ['diameter', 'prints'].map((s) => foundBy(s, evidence, whole.basis)) });
	}
	expect(changed).toEqual([]);
});

it('every page of the demo is given what it was given', async () => {
	await startServer(
		{
			HOST: '127.0.0.1',
			DATABASE_URL: bench.url,
			DRAUGHT_BACKUP_DIR: '/nowhere/backups',
			DRAUGHT_LEARN_MINUTES: '0',
			DRAUGHT_BACKUP_MINUTES: '0'
		},
		NOW
	);
	const now = await pagesInShort(bench.db).finally(stopServer);
	if (process.env.DRAUGHT_WRITE_GOLDEN === 'yes') writeFileSync(PAGES, now);
	expect(existsSync(PAGES), `${PAGES} is missing: npm run golden`).toBe(true);
	expect(now, 'a page is given something else: look at what changed, then npm run golden').toBe(readFileSync(PAGES, 'utf8'));
});
