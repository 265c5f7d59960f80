import { Agent, request, type IncomingMessage } from 'node:http';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../e2e/server';

let server: TestServer;
beforeAll(async () => (server = await TestServer.start()));
afterAll(() => server.stop());

/** One request on a connection that is kept, with its answer read to the end. */
async function ask(
	agent: Agent,
	path: string,
	given: { method?: string; headers?: Record<string, string>; chunks?: Buffer[] } = {}
): Promise<{ status: number; body: string; reused: boolean; headers: IncomingMessage['headers'] }> {
	return await new Promise((done, fail) => {
		const asking = request(`${server.url}${path}`, { agent, method: given.method ?? 'GET', headers: given.headers }, (response) => {
			let body = '';
			response.on('data', (chunk: Buffer) => (body += chunk.toString()));
			response.on('end', () => done({ status: response.statusCode ?? 0, body, reused: asking.reusedSocket, headers: response.headers }));
		});
		asking.once('error', fail);
		for (const chunk of given.chunks ?? []) asking.write(chunk);
		asking.end();
	});
}

const json = { 'content-type': 'application/json' };
const large = [Buffer.alloc(600_000, 'x')];

describe('a refused body leaves the connection good for the next request', () => {
	for (const [what, status, headers, chunks] of [
		['too large, said beforehand', 413, { ...json, 'content-length': '600000' }, large],
		['too large, in chunks', 413, { ...json, 'transfer-encoding': 'chunked' }, Array.from({ length: 40 }, () => Buffer.alloc(60_000, 'x'))],
		['of another type', 415, { 'content-type': 'text/plain', 'content-length': '600000' }, large],
		['of no type', 415, { 'content-length': '600000' }, large],
		['from another site', 403, { ...json, origin: 'http://elsewhere.example', 'content-length': '600000' }, large],
		['that is no JSON', 400, { ...json, 'content-length': '1' }, [Buffer.from('{')]]
	] as const)
		it(what, async () => {
			const agent = new Agent({ keepAlive: true, maxSockets: 1 });
			const refused = await ask(agent, '/api/v1/dryers', { method: 'POST', headers, chunks: [...chunks] });
			expect(refused.status).toBe(status);
			expect(refused.headers['content-type']).toBe('application/problem+json');
			expect(JSON.parse(refused.body)).toMatchObject({ status });
			const next = await ask(agent, '/healthz');
			expect(next).toMatchObject({ status: 200, reused: true });
			agent.destroy();
		});
});

describe('answers', () => {
	it('refuse in words what is larger than the process takes at all', async () => {
		const agent = new Agent({ keepAlive: true });
		const headers = { ...json, 'content-length': '20000000' };
		const refused = await ask(agent, '/api/v1/dryers', { method: 'POST', headers, chunks: [Buffer.alloc(20_000_000, 'x')] });
		expect(JSON.parse(refused.body)).toMatchObject({ status: 413, title: 'This is larger than 256 kB allows. Nothing was stored.' });
		agent.destroy();
	});

	it('are not cut off under a client that asked for the connection to be closed and still sends', async () => {
		const { hostname, port, host } = new URL(server.url);
		const socket = connect(Number(port), hostname);
		const size = 600_000;
		const head = `POST /api/v1/dryers HTTP/1.1\r\nHost: ${host}\r\nContent-Type: application/json\r\nConnection: close\r\nContent-Length: ${size}\r\n\r\n`;
		let [heard, sentWhenEnded, sent] = ['', -1, 0];
		await new Promise<void>((done, fail) => {
			socket.once('error', fail);
			socket.once('close', () => done());
			socket.once('end', () => (sentWhenEnded = sent));
			socket.write(head);
			socket.on('data', (part: Buffer) => {
				heard += part.toString();
				// Only when the refusal was heard is the body sent, a piece after the other.
				const next = (): void => {
					if (sent >= size) return;
					sent += 60_000;
					socket.write(Buffer.alloc(60_000, 'x'), next);
				};
				if (sent === 0 && heard.includes('256 kB')) next();
			});
		});
		expect(heard.split('\r\n')[0]).toBe('HTTP/1.1 413 Payload Too Large');
		expect(sentWhenEnded).toBe(size);
	});

	it('go out compressed to whoever takes them so', async () => {
		const agent = new Agent();
		const plain = await ask(agent, '/trials');
		const packed = await ask(agent, '/trials', { headers: { 'accept-encoding': 'gzip' } });
		expect(plain.headers['content-encoding']).toBeUndefined();
		expect(packed.headers['content-encoding']).toBe('gzip');
		agent.destroy();
	});
});
