import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { betweenSpools } from '../../src/lib/core/stations/diameter/between-spools';
import { candidatesFrom } from '../../src/lib/core/answers/pick/candidates';
import { measuredOn } from '../../src/lib/core/answers/pick/families';
import type { PickInput } from '../../src/lib/core/answers/pick/types';
import { STATIONS } from '../../src/lib/core/joins/registry';
import { shownSheet } from '../../src/lib/core/answers/sheet/shown-sheet';
import type { QuantityDef } from '../../src/lib/core/judging/finding/types';
import { connect, type Database } from '../../src/lib/server/base/db/client';
import { ensureDefaults } from '../../src/lib/server/base/db/defaults';
import { migrate } from '../../src/lib/server/base/db/migrate';
import { sheetOf } from '../../src/lib/server/answers/trials/findings';
import { loadTrial } from '../../src/lib/server/answers/trials/load';
import { benchLog } from './bench-log';
import { benchCrowd, benchFifty, benchFiles } from './bench-load';
import { benchPick } from './bench-pick';
import { benchPrints } from './bench-prints';
import { benchYears } from './bench-years';
import { fill, READINGS, SPOOLS } from './bench-fill';
import { runTask, taskConfig } from './task';
import { line, ms, msAsync, percentile } from './timing';

/**
 * One part of npm run bench: figures for speed, each with its limit and as a multiple of a plain baseline. Each part runs in a process of its own, so
 * that none is slowed by what another left in memory, and in a database of its own beside the instance's, which it drops.
 */

const ROUNDS = 30;

/** Twelve criteria: the real quantities and copies of them, so that every kind of sampling is drawn. */
function twelveCriteria(input: Omit<PickInput, 'criteria' | 'rule'>): PickInput {
	const measured = measuredOn(input.candidates);
	const base = input.defs.filter((d) => d.family !== null && measured(d.id));
	const defs = Array.from({ length: 12 }, (_, i) => {
		const def = base[i % base.length] as QuantityDef;
		return { ...def, id: i < base.length ? def.id : `${def.id}.${i}` };
	});
	const candidates = input.candidates.map((c) => ({
		...c,
		findings: Object.fromEntries(defs.map((d) => [d.id, c.findings[d.id.split('.')[0] as string]]))
	}));
	return { candidates, defs, criteria: defs.map((d) => ({ quantity: d.id, weight: 1, gate: null, family: d.family })), rule: 'weighted' };
}

/** The sheet of forty spools, and the pick from it. */
async function benchSheet(db: Database, trialId: string): Promise<void> {
	console.log(`${SPOOLS} spools, ${READINGS} hand readings, ${SPOOLS * 3} prints\n`);

	const page = async () => sheetOf(await loadTrial(db, trialId));
	const firstCall = await msAsync(page);
	const cold: number[] = [];
	for (let i = 0; i < ROUNDS; i++) {
		// Every spool changed: all is read anew, and only what stayed the same is known.
		await db.execute(sql`UPDATE spool SET revision = revision + 1`);
		cold.push(await msAsync(page));
	}
	const warm: number[] = [];
	for (let i = 0; i < ROUNDS; i++) warm.push(await msAsync(page));
	const raw: number[] = [];
	for (let i = 0; i < ROUNDS; i++) raw.push(await msAsync(() => db.execute(sql`SELECT * FROM reading`)));
	const rawP95 = percentile(raw, 0.95);
	line('trial sheet data (findings and letters), p95 warm', percentile(warm, 0.95), 100, 'SELECT of its readings', rawP95);
	line('trial sheet data, p95 when every spool has changed', percentile(cold, 0.95), 1000, 'SELECT of its readings', rawP95);
	line('trial sheet data, first call of the process', firstCall, 1000, 'SELECT of its readings', rawP95);

	const whole = await loadTrial(db, trialId);
	const sheet = shownSheet(sheetOf(whole));
	const values = whole.spools.flatMap((s) => s.readings.map((r) => r.value ?? 0));
	const plainSum = () => Float64Array.from(values).reduce((a, b) => a + b, 0);
	plainSum();
	line(
		'findings of all spools (core alone)',
		ms(() => sheetOf(whole)),
		null,
		'typed-array sum of the readings',
		ms(plainSum)
	);

	line(
		'40 spools of 250 readings compared (core, as in the worker)',
		ms(() => betweenSpools(whole.spools, whole.basis)),
		2000,
		'typed-array sum of the readings',
		ms(plainSum)
	);

	const input = twelveCriteria(candidatesFrom({ spools: whole.spools, basis: whole.basis, stations: STATIONS }));
	await benchPick(input);
	console.log(
		`\nsheet as JSON: ${(JSON.stringify(sheet).length / 1024).toFixed(0)} kB, ${(gzipSync(JSON.stringify(sheet)).length / 1024).toFixed(0)} kB compressed`
	);
}

const onTrial =
	(work: (db: Database, trialId: string, databaseUrl: string) => Promise<void>) => async (db: Database, databaseUrl: string) =>
		await work(db, await fill(db), databaseUrl);

const PARTS: Record<string, (db: Database, databaseUrl: string) => Promise<void>> = {
	log: benchLog,
	prints: onTrial(async (db, trialId) => await benchPrints(db, (await loadTrial(db, trialId)).spools[0]?.spool.id ?? '')),
	sheet: onTrial(benchSheet),
	files: onTrial(async (_, trialId, databaseUrl) => await benchFiles(databaseUrl, trialId)),
	crowd: onTrial(async (_, trialId, databaseUrl) => await benchCrowd(databaseUrl, trialId)),
	people: onTrial(async (_, trialId, databaseUrl) => await benchFifty(databaseUrl, trialId))
};

await runTask(async () => {
	// Ten years take minutes to make: that record is kept, and is none of the others.
	if (process.argv[2] === 'years') return await benchYears(taskConfig().DATABASE_URL);
	const part = PARTS[process.argv[2] ?? ''];
	if (!part) throw new Error(`npm run bench has the parts ${Object.keys(PARTS).join(', ')}`);
	const url = new URL(taskConfig().DATABASE_URL);
	url.pathname = `${url.pathname}_bench`;
	await migrate(url.href, join(import.meta.dirname, '../../drizzle'));
	const { db, pool } = connect(url.href);
	try {
		await ensureDefaults(db, Date.now());
		await part(db, url.href);
	} finally {
		await pool.query(`DROP DATABASE \`${url.pathname.slice(1)}\``);
		await pool.end();
	}
});
