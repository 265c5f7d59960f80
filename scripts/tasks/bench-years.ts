import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { connect } from '../../src/lib/server/base/db/client';
import { ensureDefaults } from '../../src/lib/server/base/db/defaults';
import { migrate } from '../../src/lib/server/base/db/migrate';
import { trial } from '../../src/lib/server/base/db/schema';
import { RECORD_TABLES } from '../../src/lib/server/record/rows/tables';
import { keepAllListings } from '../../src/lib/server/answers/spools/recall';
import { keepAllStandings } from '../../src/lib/server/answers/trials/standing';
import { msAsync } from './timing';
import { fillYears, YEARS } from './years-fill';

/**
 * npm run bench -- years: a record of ten years, made once and kept beside the instance's; what every page and list of it costs the
 * processor, and what /healthz waits beside them.
 */

/** So much each may cost, ms of processor time. */
const LIMITS = { warm: 1000, cold: 2000, health: 250 };
const HEAP_MB = 512;
const WARM_MS = 6000;
/** Clock ticks of /proc a second (getconf CLK_TCK), on every Linux. */
const TICKS_S = 100;

type Served = { url: string; child: ChildProcess };

const freePort = (): Promise<number> =>
	new Promise((done) => {
		const probe = createServer().listen(0, '127.0.0.1', () => {
			const address = probe.address();
			probe.close(() => done(address && typeof address === 'object' ? address.port : 0));
		});
	});

async function serve(databaseUrl: string): Promise<Served> {
	const port = await freePort();
	const url = `http://localhost:${port}`;
	const env = {
		...process.env,
		PORT: String(port),
		HOST: '127.0.0.1',
		ORIGIN: url,
		DATABASE_URL: databaseUrl,
		DRAUGHT_LEARN_MINUTES: '0',
		DRAUGHT_BACKUP_MINUTES: '0'
	};
	const child = spawn('node', [`--max-old-space-size=${HEAP_MB}`, 'scripts/web.mjs'], { env, stdio: ['ignore', 'ignore', 'inherit'] });
	for (let tries = 0; tries < 600; tries++) {
		const ok = await fetch(`${url}/healthz`).then(
			(r) => r.ok,
			() => false
		);
		if (ok) {
			// It works out the newest trial by itself first; what is asked for here is not that.
			await new Promise((done) => setTimeout(done, WARM_MS));
			return { url, child };
		}
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error('the server did not answer');
}

/** Processor time a process has used, ms, all its threads. */
function usedMs(pid: number): number {
	const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
	return ((Number(fields[11]) + Number(fields[12])) * 1000) / TICKS_S;
}

type Cost = { path: string; cold: number; warm: number; health: number; kB: number; status: number };

/** What one address costs, asked twice, with the longest that /healthz waited beside it. */
async function costOf({ url, child }: Served, path: string): Promise<Cost> {
	let [health, busy] = [0, true];
	const watching = (async () => {
		while (busy) {
			health = Math.max(health, await msAsync(() => fetch(`${url}/healthz`).then((r) => r.text())));
			await new Promise((done) => setTimeout(done, 15));
		}
	})();
	const ask = async () => {
		const before = usedMs(child.pid ?? 0);
		const response = await fetch(`${url}${path}`, { redirect: 'manual' });
		let bytes = 0;
		for await (const part of response.body ?? []) bytes += (part as Uint8Array).byteLength;
		return { ms: usedMs(child.pid ?? 0) - before, bytes, status: response.status };
	};
	const [cold, warm] = [await ask(), await ask()];
	busy = false;
	await watching;
	return { path, cold: cold.ms, warm: warm.ms, health, kB: warm.bytes / 1024, status: warm.status };
}

/** A record of a share of the ten years: made where it is not there yet, else as it was left. */
async function record(databaseUrl: string, share: number): Promise<{ url: string; trialId: string; large: string; spoolId: string }> {
	const url = new URL(databaseUrl);
	url.pathname = `${url.pathname}_years_${Math.round(share * 100)}`;
	await migrate(url.href, join(import.meta.dirname, '../../drizzle'));
	const { db, pool } = connect(url.href, { patient: true });
	await ensureDefaults(db, Date.now());
	const [any] = await db.select({ id: trial.id }).from(trial).limit(1);
	if (!any) {
		console.log(`filling ${url.pathname.slice(1)} (once; it is kept)`);
		await fillYears(db, Date.now(), share);
	}
	// As the task beside the server leaves it; what has changed since is what pages work out themselves.
	await keepAllListings(db);
	await keepAllStandings(db);
	const hex = async (query: ReturnType<typeof sql>): Promise<string> => {
		const [rows] = (await db.execute(query)) as unknown as [{ id: string }[]];
		const id = rows[0]?.id ?? '';
		return `${id.slice(0, 8)}-${id.slice(8, 12)}-${id.slice(12, 16)}-${id.slice(16, 20)}-${id.slice(20)}`;
	};
	const ids = {
		trialId: await hex(sql`SELECT LOWER(HEX(id)) AS id FROM trial WHERE name = 'Trial 5'`),
		large: await hex(sql`SELECT LOWER(HEX(trial_id)) AS id FROM trial_spool GROUP BY trial_id ORDER BY COUNT(*) DESC, trial_id LIMIT 1`),
		spoolId: await hex(sql`SELECT LOWER(HEX(id)) AS id FROM spool ORDER BY created_at LIMIT 1 OFFSET 20`)
	};
	await pool.end();
	return { url: url.href, ...ids };
}

const PAGES = [
	'',
	'/cost',
	'/diameter',
	'/drying',
	'/intake',
	'/moisture',
	'/pick',
	'/prints',
	'/prints/photos',
	'/prints/score',
	'/report',
	'/rules',
	'/strength'
];

export async function benchYears(databaseUrl: string): Promise<void> {
	const whole = await record(databaseUrl, 1);
	const tenth = await record(databaseUrl, 0.1);
	console.log(
		`${YEARS.spools} spools, ${YEARS.spools * YEARS.printsEach} prints, ${YEARS.photos} photographs, ${YEARS.logs} logs, ${YEARS.trials} trials; heap ${HEAP_MB} MB\n`
	);
	const ratio = [`/trials/{trial}`, `/trials/{trial}/pick`, `/spools/{spool}/scorecard`, '/api/v1/csv/readings', '/api/v1/csv/attempts'];
	const of = (ids: typeof whole, path: string) => path.replace('{trial}', ids.trialId).replace('{spool}', ids.spoolId);
	const only = process.argv[3];
	const paths = [
		'/trials',
		'/spools',
		'/spools?q=PETG',
		'/spools?q=PETG, no strings, under 20',
		'/spools?q=smooth winding',
		`/spools/${whole.spoolId}`,
		`/spools/${whole.spoolId}/scorecard`,
		...PAGES.map((p) => `/trials/${whole.trialId}${p}`),
		`/trials/${whole.large}`,
		`/trials/${whole.large}/pick`,
		'/trials/new',
		'/workshop',
		'/pieces',
		'/handbook',
		'/exchange',
		'/backups',
		'/drying',
		'/api/v1/spools',
		'/api/v1/spools?q=PETG',
		`/api/v1/trials/${whole.trialId}/findings`,
		`/api/v1/trials/${whole.trialId}/bundle`,
		...RECORD_TABLES.map((t) => `/api/v1/csv/${t.name}`)
	].filter((p) => only === undefined || p.includes(only));
	const server = await serve(whole.url);
	let missed = 0;
	try {
		for (const path of paths) {
			const { cold, warm, health, kB, status } = await costOf(server, path);
			// A whole table costs what its rows cost (told below); what it must not do is hold up others.
			const quick = path.includes('/csv/') || (warm <= LIMITS.warm && cold <= LIMITS.cold);
			const kept = quick && health <= LIMITS.health;
			if (!kept) missed += 1;
			console.log(
				`${path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/, '…').padEnd(44)} ${String(status)}  cold ${String(cold).padStart(6)} ms  warm ${String(warm).padStart(6)} ms  healthz ${health.toFixed(0).padStart(5)} ms  ${kB.toFixed(0).padStart(7)} kB  ${kept ? 'kept' : 'MISSED'}`
			);
		}
		console.log(
			`\nmemory of the server at the end: ${Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))?.[1]) / 1024)} MB at most`
		);
		console.log(
			`${missed} of ${paths.length} pages and lists over ${LIMITS.warm} ms warm, ${LIMITS.cold} ms cold or ${LIMITS.health} ms of /healthz`
		);
		if (only !== undefined) return;
		const small = await serve(tenth.url);
		console.log('\nten times the record costs');
		for (const path of ratio) {
			const few = await costOf(small, of(tenth, path));
			const many = await costOf(server, of(whole, path));
			const most = path.includes('/csv/') ? 12 : 1.5;
			// A tick of the clock is ten milliseconds: less cannot be told.
			const times = (many.warm + 10) / (few.warm + 10);
			console.log(
				`${path.padEnd(44)} ${times.toFixed(1)} times (${few.warm} to ${many.warm} ms)  (limit ${most}: ${times <= most ? 'kept' : 'MISSED'})`
			);
		}
		small.child.kill();
	} finally {
		server.child.kill();
	}
}
