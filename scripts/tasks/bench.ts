import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { betweenSpools } from '../../src/lib/core/diameter/between-spools';
import { candidatesFrom } from '../../src/lib/core/pick/candidates';
import { measuredOn } from '../../src/lib/core/pick/families';
import type { PickInput } from '../../src/lib/core/pick/types';
import { STATIONS } from '../../src/lib/core/registry';
import { shownSheet } from '../../src/lib/core/sheet/shown-sheet';
import type { QuantityDef } from '../../src/lib/core/finding/types';
import { connect } from '../../src/lib/server/db/client';
import { ensureDefaults } from '../../src/lib/server/db/defaults';
import { migrate } from '../../src/lib/server/db/migrate';
import { sheetOf } from '../../src/lib/server/trials/findings';
import { loadTrial } from '../../src/lib/server/trials/load';
import { benchLog } from './bench-log';
import { benchFifty, benchLoad } from './bench-load';
import { benchPick } from './bench-pick';
import { benchPrints } from './bench-prints';
import { fill, READINGS, SPOOLS } from './bench-fill';
import { runTask, taskConfig } from './task';
import { line, ms, msAsync, percentile } from './timing';

/**
 * npm run bench: the figures for speed that apply so far, each with its limit and as a multiple of a plain baseline.
 * Works in a database of its own beside the instance's, and drops it.
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
	return { candidates, defs, criteria: defs.map((d) => ({ quantity: d.id, weight: 1, gate: null })), rule: 'weighted' };
}

await runTask(async () => {
	const url = new URL(taskConfig().DATABASE_URL);
	url.pathname = `${url.pathname}_bench`;
	await migrate(url.href, join(import.meta.dirname, '../../drizzle'));
	const { db, pool } = connect(url.href);
	try {
		await ensureDefaults(db, Date.now());
		await benchLog(db);
		const trialId = await fill(db);
		await benchPrints(db, (await loadTrial(db, trialId)).spools[0]?.spool.id ?? '');
		console.log(`${SPOOLS} spools, ${READINGS} hand readings, ${SPOOLS * 3} prints\n`);

		const page = async () => sheetOf(await loadTrial(db, trialId), Date.now());
		const firstCall = await msAsync(page);
		const cold: number[] = [];
		for (let i = 0; i < ROUNDS; i++) {
			// Every spool changed: all is read anew, and only what stayed the same is known.
			await pool.query('UPDATE spool SET revision = revision + 1');
			cold.push(await msAsync(page));
		}
		const warm: number[] = [];
		for (let i = 0; i < ROUNDS; i++) warm.push(await msAsync(page));
		const raw: number[] = [];
		for (let i = 0; i < ROUNDS; i++) raw.push(await msAsync(() => pool.query('SELECT * FROM reading')));
		const rawP95 = percentile(raw, 0.95);
		line('trial sheet data (findings and letters), p95 warm', percentile(warm, 0.95), 100, 'SELECT of its readings', rawP95);
		line('trial sheet data, p95 when every spool has changed', percentile(cold, 0.95), 1000, 'SELECT of its readings', rawP95);
		line('trial sheet data, first call of the process', firstCall, 1000, 'SELECT of its readings', rawP95);

		const whole = await loadTrial(db, trialId);
		const sheet = shownSheet(sheetOf(whole, 0));
		const values = whole.spools.flatMap((s) => s.readings.map((r) => r.value ?? 0));
		const plainSum = () => Float64Array.from(values).reduce((a, b) => a + b, 0);
		plainSum();
		line(
			'findings of all spools (core alone)',
			ms(() => sheetOf(whole, 0)),
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

		const input = twelveCriteria(candidatesFrom({ spools: whole.spools, basis: whole.basis, stations: STATIONS, now: 0 }));
		benchPick(input);
		console.log(
			`\nsheet as JSON: ${(JSON.stringify(sheet).length / 1024).toFixed(0)} kB, ${(gzipSync(JSON.stringify(sheet)).length / 1024).toFixed(0)} kB compressed`
		);
		await benchLoad(url.href, trialId);
		await benchFifty(url.href, trialId);
		const lock = readFileSync('package.json', 'utf8');
		console.log(`draught ${(JSON.parse(lock) as { version: string }).version}, node ${process.version}`);
	} finally {
		await pool.query(`DROP DATABASE \`${url.pathname.slice(1)}\``);
		await pool.end();
	}
});
