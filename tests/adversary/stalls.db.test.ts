import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { connect as tcp, type Socket } from 'node:net';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { connect } from '../../src/lib/server/base/db/client';
import { isSlow } from '../../src/lib/server/base/db/errors';
import { TestServer } from '../e2e/server';
import { testDatabase } from '../support/database';
import { until } from '../support/instance';

let server: TestServer;
afterEach(() => server.stop());

const health = async () => {
	const response = await fetch(`${server.url}/healthz`, { headers: { connection: 'close' } });
	return { status: response.status, body: (await response.json()) as { state: string; said?: string } };
};
const post = () =>
	fetch(`${server.url}/api/v1/dryers`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', connection: 'close' },
		body: JSON.stringify({ id: v7(), name: 'Box' })
	});

describe('a database that is stalled', () => {
	beforeEach(async () => (server = await TestServer.start({ ownMariaDb: true })));

	it('is told by /healthz while it lasts; writes are answered in words, and then all is as before', async () => {
		const pid = Number(readFileSync(`${server.instanceDir}/mariadb.pid`, 'utf8'));
		const stored = async () => (await (await fetch(`${server.url}/api/v1/csv/dryers`)).text()).trim().split('\n').length - 1;
		expect((await post()).status).toBe(201);
		process.kill(pid, 'SIGSTOP');
		try {
			// More than there are connections of the pool: none of them may be in the way.
			const writes = Array.from({ length: 20 }, () => post());
			for (let k = 0; k < 3; k++) {
				const asked = performance.now();
				const { status, body } = await health();
				expect([status, body.state, body.said]).toEqual([503, 'databaseAway', expect.stringContaining('does not answer')]);
				expect(performance.now() - asked).toBeLessThan(10_000);
			}
			for (const answer of await Promise.all(writes)) {
				expect(answer.status).toBe(503);
				expect(((await answer.json()) as { title: string }).title).toMatch(/saved|stored/);
			}
		} finally {
			process.kill(pid, 'SIGCONT');
		}
		await until('the server is well again', async () => (await health()).status === 200);
		const before = await stored();
		expect((await post()).status).toBe(201);
		expect(await stored()).toBe(before + 1);
	});
});

describe('a statement that takes too long', () => {
	it('is stopped by the database, and told as that', async () => {
		server = await TestServer.start();
		const record = await testDatabase();
		const { db, pool } = connect(record.url);
		const [[limit]] = (await db.execute(sql`SELECT @@max_statement_time AS s`)) as unknown as [[{ s: number }]];
		expect(Number(limit.s)).toBe(10);
		await pool.query('SET SESSION max_statement_time = 0.05');
		const stopped = await Promise.all(
			Array.from({ length: 8 }, async () => {
				const connection = await pool.getConnection();
				await connection.query('SET SESSION max_statement_time = 0.05');
				return await connection
					.query('SELECT COUNT(*) FROM information_schema.columns a, information_schema.columns b, information_schema.columns c')
					.then(
						() => null,
						(error: unknown) => error
					)
					.finally(() => connection.release());
			})
		);
		expect(stopped.map(isSlow)).toEqual(stopped.map(() => true));
		await pool.end();
		await record.close();
	});
});

describe('connections that ask nothing', () => {
	it('are bounded: a hundred and twenty of them on sixty descriptors stop nobody', async () => {
		server = await TestServer.start();
		// Every page once: what is read now needs no file later.
		await post();
		execFileSync('prlimit', ['--pid', String(server.pid), '--nofile=60:60']);
		const idle: Socket[] = [];
		try {
			for (let k = 0; k < 120; k++) {
				const socket = tcp(server.port, '127.0.0.1');
				socket.on('error', () => undefined);
				idle.push(socket);
			}
			await until('most of the idle ones were closed', () => idle.filter((s) => s.closed || s.readyState !== 'open').length >= 100);
			for (let k = 0; k < 10; k++) {
				expect((await health()).status).toBe(200);
				expect((await post()).status).toBe(201);
			}
		} finally {
			for (const socket of idle) socket.destroy();
		}
	});
});
