import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { v7 } from 'uuid';
import type { Bundle } from '../../src/lib/schemas/exchange';
import { connect } from '../../src/lib/server/base/db/client';
import { exportBundle } from '../../src/lib/server/exchange/bundle';
import { loadTrial } from '../../src/lib/server/answers/trials/load';
import { crowd } from './bench-crowd';
import { SPOOLS } from './bench-fill';
import { benchPages } from './bench-pages';
import { line, msAsync, percentile } from './timing';

/** The web server itself under load: what waits while a file comes in, and fifty people at one trial of forty spools. */

const CLIENTS = 50;
const EVERY_MS = 2000;
const SECONDS = 45;

const freePort = (): Promise<number> =>
	new Promise((done) => {
		const probe = createServer().listen(0, '127.0.0.1', () => {
			const address = probe.address();
			probe.close(() => done(address && typeof address === 'object' ? address.port : 0));
		});
	});

async function serve(databaseUrl: string): Promise<{ url: string; child: ChildProcess }> {
	const port = await freePort();
	const url = `http://localhost:${port}`;
	const env = { ...process.env, PORT: String(port), HOST: '127.0.0.1', ORIGIN: url, DATABASE_URL: databaseUrl, BODY_SIZE_LIMIT: '16M' };
	const child = spawn('node', ['scripts/web.mjs'], { env: { ...env, DRAUGHT_INSTANCE: 'bench' }, stdio: ['ignore', 'ignore', 'inherit'] });
	for (let tries = 0; tries < 300; tries++) {
		if (
			await fetch(`${url}/healthz`).then(
				(r) => r.ok,
				() => false
			)
		)
			return { url, child };
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error('the server did not answer');
}

const post = (url: string, path: string, body: object | string): Promise<Response> =>
	fetch(`${url}/api/v1/${path}`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: typeof body === 'string' ? body : JSON.stringify(body)
	});

/** The longest wait for /healthz while something else is done. */
async function longestWait(url: string, work: () => Promise<unknown>): Promise<number> {
	let [longest, busy] = [0, true];
	const watching = (async () => {
		while (busy) {
			longest = Math.max(longest, await msAsync(() => fetch(`${url}/healthz`).then((r) => r.text())));
			await new Promise((done) => setTimeout(done, 20));
		}
	})();
	try {
		await work();
	} finally {
		busy = false;
		await watching;
	}
	return longest;
}

/** Resident memory of a process, MB. */
const memoryMb = (pid: number): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** The same bundle as another bench would send it: every id another one. */
const underNewIds = (bundle: Bundle): Bundle =>
	JSON.parse(JSON.stringify(bundle).replace(/\b01([0-9a-f]{6}-[0-9a-f]{4}-7[0-9a-f]{3}-)/g, '02$1')) as Bundle;

export async function benchFiles(databaseUrl: string, trialId: string): Promise<void> {
	const { url, child } = await serve(databaseUrl);
	const { db, pool } = connect(databaseUrl);
	try {
		const plain = percentile(await Promise.all(Array.from({ length: 20 }, () => msAsync(() => pool.query('SELECT 1')))), 0.5);
		const whole = await exportBundle(db, trialId, Date.now());
		const empty = { ...whole, tables: { ...whole.tables, readings: Array.from({ length: 150_000 }, () => ({})) } };
		const wait = async (what: string, body: object, status: number) => {
			// Put into words beforehand: what this process is busy with is no wait of the server.
			const text = JSON.stringify({ id: v7(), bundle: body });
			const send = async () => {
				const response = await post(url, 'bundles', text);
				const answer = await response.text();
				if (response.status !== status) throw new Error(`${what}: ${response.status} ${answer.slice(0, 300)}`);
			};
			line(what, await longestWait(url, send), 200, 'a query', plain);
		};
		await wait('longest wait for /healthz, 150,000 empty rows come in', empty, 422);
		await wait('longest wait for /healthz, a bundle that is here comes in', whole, 201);
		await wait('longest wait for /healthz, a bundle of 40 new spools comes in', underNewIds(whole), 201);
		const rows = Array.from(
			{ length: 7000 },
			(_, i) => `${whole.tables.spools?.[0]?.id as string},diameter,1.7${i % 10},2026-11-01T10:00:00Z`
		);
		const text = ['spoolId,quantity,typedText,takenAt', ...rows].join('\n');
		const looked = JSON.stringify({ id: v7(), table: 'readings', text, apply: false });
		const csv = () => post(url, 'csv-imports', looked).then((r) => r.text());
		line('longest wait for /healthz, 7,000 rows of CSV are looked at', await longestWait(url, csv), 200, 'a query', plain);
	} finally {
		child.kill();
		await pool.end();
	}
}

/** Fifty and two hundred clients that never pause. */
export async function benchCrowd(databaseUrl: string, trialId: string): Promise<void> {
	const { url, child } = await serve(databaseUrl);
	const { pool, db } = connect(databaseUrl);
	try {
		const spoolIds = (await loadTrial(db, trialId)).spools.map((s) => s.spool.id);
		for (const clients of [50, 200]) await crowd({ url, child, memoryMb }, { trialId, spoolIds, clients });
	} finally {
		child.kill();
		await pool.end();
	}
}

/** How its pages open, then fifty people at one trial. */
export async function benchFifty(databaseUrl: string, trialId: string): Promise<void> {
	const { url, child } = await serve(databaseUrl);
	const { pool, db } = connect(databaseUrl);
	try {
		const plain = percentile(await Promise.all(Array.from({ length: 20 }, () => msAsync(() => pool.query('SELECT 1')))), 0.5);
		const [spool] = (await loadTrial(db, trialId)).spools;
		await benchPages(`${url}/trials/${trialId}`, SPOOLS);
		await fifty(url, child, trialId, spool?.spool.id ?? '', plain);
	} finally {
		child.kill();
		await pool.end();
	}
}

async function fifty(url: string, child: ChildProcess, trialId: string, spoolId: string, plain: number): Promise<void> {
	const pages = ['', '/pick', '/prints', '/diameter'].map((p) => `${url}/trials/${trialId}${p}`);
	const [reads, writes]: [number[], number[]] = [[], []];
	for (const page of pages) {
		const response = await fetch(page, { headers: { 'accept-encoding': 'identity' } });
		const html = Buffer.from(await response.arrayBuffer());
		console.log(
			`${page.replace(url, '').replace(trialId, '…').padEnd(58)} ${(html.length / 1024).toFixed(0)} kB, ${(gzipSync(html).length / 1024).toFixed(0)} kB compressed (limit 120 for forty spools)`
		);
	}
	const memory = [memoryMb(child.pid ?? 0)];
	const watch = setInterval(() => memory.push(memoryMb(child.pid ?? 0)), (SECONDS / 3) * 1000);
	const end = performance.now() + SECONDS * 1000;
	await Promise.all(
		Array.from({ length: CLIENTS }, async (_, c) => {
			await new Promise((done) => setTimeout(done, (c * EVERY_MS) / CLIENTS));
			for (let n = c; performance.now() < end; n++) {
				const start = performance.now();
				if (n % 3 === 0) {
					const body = { id: v7(), spoolId, quantity: 'diameter', typed: '1.75', takenAt: new Date().toISOString() };
					const response = await post(url, 'readings', body);
					if (!response.ok) throw new Error(`a write was answered ${response.status}`);
					writes.push(performance.now() - start);
				} else {
					await fetch(pages[n % pages.length] as string).then((r) => r.text());
					reads.push(performance.now() - start);
				}
				await new Promise((done) => setTimeout(done, Math.max(0, EVERY_MS - (performance.now() - start))));
			}
		})
	);
	line(`50 clients, ${reads.length} reads, median`, percentile(reads, 0.5), null, 'a query', plain);
	line('50 clients, reads p95', percentile(reads, 0.95), 1000, 'a query', plain);
	line(`50 clients, ${writes.length} writes p95`, percentile(writes, 0.95), 500, 'a query', plain);
	clearInterval(watch);
	console.log(`memory of the web server, before and each ${SECONDS / 3} s: ${memory.map((mb) => `${mb.toFixed(0)} MB`).join(', ')}`);
}
