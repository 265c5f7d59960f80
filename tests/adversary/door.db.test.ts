import { readdirSync, readFileSync } from 'node:fs';
import { createConnection as connectTcp } from 'node:net';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect } from '../../src/lib/server/base/db/client';
import { writeLog } from '../../src/lib/server/base/db/schema';
import { TestServer } from '../e2e/server';
import { pageRoutes } from '../support/pages';

let server: TestServer;
beforeAll(async () => (server = await TestServer.start({ demo: true })));
afterAll(() => server.stop());

/** Asks as it stands, without a client that tidies the address up. */
async function raw(path: string): Promise<{ status: number; location: string | null }> {
	return await new Promise((done, fail) => {
		const socket = connectTcp(server.port, '127.0.0.1');
		let heard = '';
		socket.on('data', (chunk) => (heard += chunk.toString()));
		socket.once('error', fail);
		socket.once('close', () =>
			done({
				status: Number(/^HTTP\/1\.1 (\d+)/.exec(heard)?.[1]),
				location: /^location: (.*)$/im.exec(heard)?.[1]?.trim() ?? null
			})
		);
		socket.write(`GET ${path} HTTP/1.1\r\nHost: localhost:${server.port}\r\nConnection: close\r\n\r\n`);
	});
}

function apiRoutes(folder = ''): string[] {
	return readdirSync(join('src/routes/api/v1', folder), { withFileTypes: true }).flatMap((entry) => {
		if (entry.isDirectory()) return apiRoutes(`${folder}/${entry.name}`);
		const source = readFileSync(join('src/routes/api/v1', folder, entry.name), 'utf8');
		return entry.name === '+server.ts' && /export const GET/.test(source) ? [`/api/v1${folder}`] : [];
	});
}

describe('addresses of nothing', () => {
	const NO_IDS = ['nonsense', 'constructor', '0', '%E2%82%AC', '..%2F..', '00000000-0000-4000-8000-000000000000', v7(), 'x'.repeat(3000)];

	it('pages and answers of no id are 404, never 500, and leave nothing in the log', async () => {
		const routes = [...pageRoutes(), ...apiRoutes()].filter((route) => route.includes('['));
		expect(routes.length).toBeGreaterThan(25);
		for (const route of routes)
			for (const id of NO_IDS) {
				const path = route
					.replace('[id]', id)
					.replace('[k]', '0')
					.replace('[photo]', id)
					.concat('?station=prints&fromM=0&toM=1&format=stl');
				const response = await fetch(`${server.url}${path}`, { redirect: 'manual' });
				const text = await response.text();
				expect(response.status, `${path.slice(0, 120)}: ${text.slice(0, 300)}`).toBe(404);
			}
		for (const path of ['/nothing', '/trials/new/nothing', '/api/v1/nothing', '/%00', '/%', '/trials/%FF'])
			expect([400, 404], path).toContain((await raw(path)).status);
		expect(server.said()).toBe('');
	});

	it('none leads to another host', async () => {
		for (const path of [
			'//elsewhere.example/',
			'//elsewhere.example',
			'/\\\\elsewhere.example/',
			'/trials//elsewhere.example/',
			'///elsewhere.example/%2e%2e',
			'/%2F%2Felsewhere.example/'
		]) {
			const { location } = await raw(path);
			if (location === null) continue;
			expect(new URL(location, server.url).host, `${path} leads to ${location}`).toBe(`localhost:${server.port}`);
		}
		const other = await fetch(`http://127.0.0.1:${server.port}//elsewhere.example/`, { redirect: 'manual' });
		expect(new URL(other.headers.get('location') ?? '').host).toBe(`localhost:${server.port}`);
	});
});

describe('a server whose clock is wrong', () => {
	const post = (headers: Record<string, string> = {}) =>
		fetch(`${server.url}/api/v1/dryers`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', ...headers },
			body: JSON.stringify({ id: v7(), name: 'Box' })
		});
	const device = (name: string, days: number) =>
		post({ origin: server.url, 'sec-fetch-site': 'same-origin', 'user-agent': name, 'x-clock-ahead-ms': String(days * 86_400_000) });

	it('far from every device’s refuses to write, and says both; one device alone is that device’s matter', async () => {
		expect((await device('phone', 500)).status).toBe(201);
		const refused = await device('desk', 499);
		expect([refused.status, (await refused.json()) as unknown]).toEqual([503, expect.objectContaining({ code: 'clockApart' })]);
		expect((await post()).status).toBe(503);
		expect((await fetch(`${server.url}/trials`)).status).toBe(200);
		expect((await device('phone', 0)).status).toBe(201);
	});

	it('more than a day before the newest write refuses to write, unless told that it is right', async () => {
		const { db, pool } = connect(server.databaseUrl);
		const at = Date.now() + 2 * 86_400_000;
		await db.insert(writeLog).values({ id: v7(), kind: 'test', bodyHash: Buffer.alloc(32), answer: {}, at });
		const refused = await post();
		expect(refused.status).toBe(503);
		const told = (await refused.json()) as { code: string; title: string };
		expect(told.code).toBe('clockBehind');
		expect(told.title).toMatch(/^The server’s clock says \d+ \w+ \d{4} .* UTC, but this record was written to on .*Nothing was stored/);
		expect((await fetch(`${server.url}/trials`)).status).toBe(200);
		await server.kill();
		await server.run({ DRAUGHT_TRUST_CLOCK: 'yes' });
		expect((await post()).status).toBe(201);
		await pool.end();
	});
});
