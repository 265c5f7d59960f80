import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { TestServer } from '../e2e/server';

const WORD = 'three herons at dusk';
let server: TestServer;
// A server of its own for each test: what one has guessed must not slow another down.
beforeEach(async () => (server = await TestServer.start({ env: { DRAUGHT_PASSPHRASE: WORD } })));
afterEach(() => server.stop());

const ask = (path: string, given: RequestInit = {}) => fetch(`${server.url}${path}`, { redirect: 'manual', ...given });
const basic = (word: string) => ({ authorization: `Basic ${Buffer.from(`anyone:${word}`).toString('base64')}` });
const logIn = (passphrase: string) =>
	ask('/api/v1/session', {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: server.url, 'sec-fetch-site': 'same-origin' },
		body: JSON.stringify({ passphrase })
	});
const cookieOf = (response: Response) => (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';

describe('before the login', () => {
	it('pages lead to it, the API refuses, and nothing is told', async () => {
		const page = await ask('/trials?q=1');
		expect([page.status, page.headers.get('location')]).toEqual([303, '/login?to=%2Ftrials%3Fq%3D1']);
		const api = await ask('/api/v1/spools');
		expect([api.status, api.headers.get('content-type')]).toEqual([401, 'application/problem+json']);
		expect(api.headers.get('www-authenticate')).toContain('Basic');
		// A browser is not made to show a box of its own.
		const fetched = await ask('/api/v1/spools', { headers: { 'sec-fetch-site': 'same-origin' } });
		expect([fetched.status, fetched.headers.get('www-authenticate')]).toEqual([401, null]);
		expect(await (await ask('/healthz')).json()).toEqual({ state: 'up' });
		const login = await (await ask('/login')).text();
		expect(login).toContain('Passphrase');
		expect(login).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}-7/);
		// An open page whose login ran out is led there too, in the way its loading of data understands.
		expect(await (await ask('/trials/__data.json')).json()).toMatchObject({ type: 'redirect', location: '/login?to=%2Ftrials' });
		for (const path of ['/login/__data.json', '/trials/__data.json']) expect(await (await ask(path)).text()).not.toContain('serverId":"0');
	});
});

describe('the login', () => {
	it('is a signed cookie with a way out; what is seen under it stays in no cache', async () => {
		const response = await logIn(WORD);
		expect(response.status).toBe(200);
		expect(response.headers.get('set-cookie')).toMatch(/^draught_session=[^;]+;.*HttpOnly.*SameSite=Lax/i);
		const cookie = cookieOf(response);
		const page = await ask('/trials', { headers: { cookie } });
		expect([page.status, page.headers.get('cache-control')]).toEqual([200, 'no-store']);
		expect(await (await ask('/healthz', { headers: { cookie } })).json()).toMatchObject({ state: 'ok', instance: 'test' });
		const forged = `${cookie.slice(0, -4)}AAAA`;
		expect((await ask('/trials', { headers: { cookie: forged } })).status).toBe(303);
		const out = await ask('/api/v1/session', { method: 'DELETE', headers: { cookie, origin: server.url } });
		expect(out.headers.get('set-cookie')).toMatch(/^draught_session=;/);
	});

	it('is not made by another site', async () => {
		const response = await ask('/api/v1/session', {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: 'http://elsewhere.example' },
			body: JSON.stringify({ passphrase: WORD })
		});
		expect(response.status).toBe(403);
		expect(response.headers.get('set-cookie')).toBeNull();
	});

	it('stays HTTP Basic for programs, on the API only', async () => {
		expect((await ask('/api/v1/spools', { headers: basic(WORD) })).status).toBe(200);
		expect((await ask('/trials', { headers: basic(WORD) })).status).toBe(303);
		expect((await ask('/api/v1/spools', { headers: basic('three herons') })).status).toBe(401);
	});
});

describe('guessing', () => {
	it('closes the door to nobody who knows the word; wrong ones wait, and who is logged in goes on', async () => {
		const cookie = cookieOf(await logIn(WORD));
		for (let n = 0; n < 5; n++) expect((await logIn(`guess ${n} of many`)).status).toBe(403);
		for (let n = 0; n < 5; n++) expect((await ask('/api/v1/spools', { headers: basic(`guess ${n}`) })).status).toBe(401);
		const flood = Array.from({ length: 40 }, (_, n) => logIn(`flood ${n}`));
		expect((await logIn(WORD)).status).toBe(200);
		expect((await ask('/api/v1/spools', { headers: basic(WORD) })).status).toBe(200);
		expect((await ask('/trials', { headers: { cookie } })).status).toBe(200);
		const statuses = (await Promise.all(flood)).map((r) => r.status);
		// A slow machine lets one more through every few seconds; how many is the limiter's own test.
		expect(statuses.filter((s) => s !== 403 && s !== 429)).toEqual([]);
		expect(statuses).toContain(429);
	});
});

describe('logging out', () => {
	const out = (cookie: string, everywhere = '') =>
		ask(`/api/v1/session${everywhere}`, { method: 'DELETE', headers: { cookie, origin: server.url, 'sec-fetch-site': 'same-origin' } });
	const enters = async (cookie: string) => (await ask('/trials', { headers: { cookie } })).status === 200;

	it('ends that login, also for who copied its cookie; the others go on', async () => {
		const [desk, phone] = [cookieOf(await logIn(WORD)), cookieOf(await logIn(WORD))];
		expect((await out(desk)).status).toBe(200);
		expect([await enters(desk), await enters(phone)]).toEqual([false, true]);
	});
	it('everywhere ends all, and a new login is good', async () => {
		const [desk, phone] = [cookieOf(await logIn(WORD)), cookieOf(await logIn(WORD))];
		await out('draught_session=none', '?everywhere');
		expect(await enters(phone)).toBe(true);
		await out(desk, '?everywhere');
		expect([await enters(desk), await enters(phone)]).toEqual([false, false]);
		expect(await enters(cookieOf(await logIn(WORD)))).toBe(true);
	});
});

describe('behind a proxy', () => {
	it('the address that the proxy names is the one that is slowed down', async () => {
		await server.stop();
		server = await TestServer.start({ env: { DRAUGHT_PASSPHRASE: WORD, ADDRESS_HEADER: 'x-forwarded-for', XFF_DEPTH: '1' } });
		const from = (address: string, word: string) =>
			ask('/api/v1/spools', { headers: { ...basic(word), 'x-forwarded-for': `203.0.113.9, ${address}` } });
		for (let n = 0; n < 12; n++) expect((await from('198.51.100.7', `guess ${n}`)).status).toBe(401);
		expect(server.said()).toContain('wrong passphrase from 198.51.100.7, 12 in ten minutes');
		await from('198.51.100.8', 'guess');
		expect(server.said()).toContain('wrong passphrase from 198.51.100.8, 1 in ten minutes');
		// Past the proxy there is no such header: a script of ours is heard all the same.
		expect((await ask('/healthz', { headers: basic(WORD) })).status).toBe(200);
	});
});
