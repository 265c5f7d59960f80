import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, type Connection } from '../../src/lib/server/base/db/client';
import { seedDemo } from '../../src/demo/seed';
import { columnsOf, toWire } from '../../src/lib/server/record/rows/column';
import { writeCsvHeader, writeCsvRows } from '../../src/lib/server/exchange/csv';
import { OWNER_TABLES, RECORD_TABLES, referencesIn, TARGET_TABLES, type RecordTable } from '../../src/lib/server/record/rows/tables';
import { TestServer } from '../e2e/server';
import { testDatabase } from '../support/database';
import { pagesOf } from '../support/pages';

type Row = Record<string, unknown>;

let server: TestServer;
let here: Connection;
/** Every table of the demo, as its file has it. */
const record = new Map<string, Row[]>();

beforeAll(async () => {
	const demo = await testDatabase();
	await seedDemo(demo.db, Date.now());
	for (const table of RECORD_TABLES) {
		const rows = await demo.db.select().from(table.table).where(table.only);
		record.set(
			table.name,
			rows.map((row) => toWire(columnsOf(table.table), row))
		);
	}
	await demo.close();
	server = await TestServer.start();
	here = connect(server.databaseUrl);
});
afterAll(async () => {
	await here.pool.end();
	await server.stop();
});

/** The record as it is before anything was entered. */
async function empty(): Promise<void> {
	const connection = await here.pool.getConnection();
	await connection.query('SET FOREIGN_KEY_CHECKS = 0');
	for (const { table } of RECORD_TABLES) {
		const name = (table as unknown as Record<symbol, string>)[Symbol.for('drizzle:Name')] ?? '';
		await connection.query(`DELETE FROM \`${name}\` ${name === 'piece' ? 'WHERE kind IS NULL' : ''}`);
	}
	await connection.query('SET FOREIGN_KEY_CHECKS = 1');
	connection.release();
	await here.db.execute(sql`UPDATE server SET epoch = ${Buffer.from(v7().replaceAll('-', ''), 'hex')}`);
}

const of = (name: string): RecordTable => {
	const table = RECORD_TABLES.find((t) => t.name === name);
	if (!table) throw new Error(`no table ${name}`);
	return table;
};

/** What a row points at: the rows without which it would be refused. */
function pointsAt(table: RecordTable, row: Row): [string, unknown][] {
	const plain = Object.entries(referencesIn(table)).map(([column, into]): [string, unknown] => [into, row[column]]);
	if (!('targetKind' in row)) return plain;
	const kind = String(row.targetKind);
	return [...plain, [TARGET_TABLES[kind] ?? '', row.targetId], [OWNER_TABLES[kind] ?? 'spools', row.spoolId]];
}

/** A few rows of a table, with all that they need and nothing else. */
function closure(name: string, few: number): Map<string, Row[]> {
	const wanted = new Map<string, Set<Row>>();
	const take = (table: RecordTable, row: Row): void => {
		const rows = wanted.get(table.name) ?? new Set();
		if (rows.has(row)) return;
		wanted.set(table.name, rows.add(row));
		for (const [into, id] of pointsAt(table, row)) {
			const found = id === null ? undefined : record.get(into)?.find((r) => r.id === id);
			if (found) take(of(into), found);
		}
		// A log is its samples.
		if (table.name === 'logs')
			for (const chunk of record.get('log-chunks') ?? []) if (chunk.seriesId === row.id) take(of('log-chunks'), chunk);
	};
	for (const row of (record.get(name) ?? []).slice(0, few)) take(of(name), row);
	return new Map([...wanted].map(([n, rows]) => [n, [...rows]]));
}

const csvOf = (columns: ReturnType<typeof columnsOf>, rows: readonly Row[]): string =>
	writeCsvHeader(columns) + writeCsvRows(columns, rows);

async function bring(table: RecordTable, rows: readonly Row[]): Promise<void> {
	const text = csvOf(columnsOf(table.table), rows);
	const response = await fetch(`${server.url}/api/v1/csv-imports`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ id: v7(), table: table.name, text, apply: true, zone: 'UTC' })
	});
	expect(response.status, `${table.name}: ${await response.clone().text()}`).toBe(201);
}

const idIn = async (table: string, which = ''): Promise<string | null> => {
	const [rows] = await here.pool.query(`SELECT LOWER(HEX(id)) AS id FROM \`${table}\` ${which} ORDER BY id LIMIT 1`);
	const hex = (rows as { id: string }[])[0]?.id;
	return hex ? `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}` : null;
};

async function askEveryPage(after: string): Promise<number> {
	const ids = {
		trial: await idIn('trial'),
		spool: await idIn('spool'),
		study: await idIn('instrument', "WHERE quantity = 'length'"),
		photo: await idIn('photo')
	};
	const pages = [...pagesOf(ids), '/'];
	for (const page of pages) {
		const response = await fetch(`${server.url}${page}`, { redirect: 'manual' });
		const text = await response.text();
		expect([200, 307], `${page} after ${after}: ${text.slice(-400)}`).toContain(response.status);
	}
	return pages.length;
}

describe('what comes in by file never breaks a page', () => {
	it.each(RECORD_TABLES.filter((t) => t.name !== 'log-chunks').map((t) => t.name))('%s alone', async (name) => {
		const rows = closure(name, 2);
		if (rows.size === 0) return;
		await empty();
		for (const table of RECORD_TABLES) {
			const found = rows.get(table.name) ?? [];
			// The step piece is there from the start.
			if (found.length > 0 && table.name !== 'log-chunks') await bring(table, found);
			if (found.length > 0 && table.name === 'logs') await bring(of('log-chunks'), rows.get('log-chunks') ?? []);
		}
		expect(await askEveryPage(name)).toBeGreaterThan(10);
	});

	it('all of them in the order in which they are offered', async () => {
		await empty();
		// A few rows of every table, with all that any of them needs.
		const some = new Map<string, Set<Row>>();
		for (const { name } of RECORD_TABLES)
			for (const [table, rows] of closure(name, 6)) some.set(table, new Set([...(some.get(table) ?? []), ...rows]));
		for (const table of RECORD_TABLES) {
			const rows = [...(some.get(table.name) ?? [])];
			if (rows.length === 0) continue;
			await bring(table, rows);
			await askEveryPage(table.name);
		}
	});

	it('a trial whose rules cannot be read is told in the list, and the rest is as ever', async () => {
		await empty();
		for (const [name, rows] of [...closure('trials', 2)]) await bring(of(name), rows);
		const trials = record.get('trials') ?? [];
		const [id] = trials.map((t) => t.id as string);
		await here.db.execute(
			sql`INSERT INTO criteria (id, trial_id, version, items, created_at) VALUES (${Buffer.from(v7().replaceAll('-', ''), 'hex')}, ${Buffer.from((id ?? '').replaceAll('-', ''), 'hex')}, 1, 'no JSON', 1)`
		);
		await here.db.execute(sql`UPDATE trial SET revision = revision + 1`);
		expect((await fetch(`${server.url}/trials/${id}`)).status).toBe(422);
		const list = await (await fetch(`${server.url}/trials`)).text();
		expect(list.split('Damaged: its rules or weights cannot be read.')).toHaveLength(2);
		expect(list).toContain('Next: ');
		expect((await fetch(`${server.url}/spools`)).status).toBe(200);
		expect((await fetch(`${server.url}/`)).status).toBe(200);
	});
});

describe('names that every object has', () => {
	const NAMES = ['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf'];
	const post = (path: string, body: string) =>
		fetch(`${server.url}/api/v1/${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });

	it.each(NAMES)('%s is an unknown table', async (name) => {
		const bundle = {
			format: 'draught-trial',
			formatVersion: 1,
			coreVersion: '0.5.0',
			exportedAt: new Date().toISOString(),
			trialId: v7()
		};
		const text = JSON.stringify({ id: v7(), bundle: { ...bundle, tables: {} } }).replace(
			'"tables":{}',
			`"tables":{"${name}":[{"a":1}],"trials":[]}`
		);
		const response = await post('bundles', text);
		expect(response.status, await response.text()).toBe(422);
		expect((await fetch(`${server.url}/api/v1/csv/${name}`)).status).toBe(404);
		expect((await post('csv-imports', JSON.stringify({ id: v7(), table: name, text: 'a\n1', zone: 'UTC' }))).status).toBe(404);
	});

	it('are texts like any other in every cell of every table', async () => {
		for (const table of RECORD_TABLES) {
			const [row] = record.get(table.name) ?? [];
			if (!row) continue;
			for (const { name } of columnsOf(table.table).filter((c) => c.kind === 'text' || c.kind === 'json' || c.kind === 'yesNo'))
				for (const said of NAMES) {
					const text = csvOf(columnsOf(table.table), [{ ...row, id: v7(), [name]: said }]);
					const response = await post('csv-imports', JSON.stringify({ id: v7(), table: table.name, text, zone: 'UTC' }));
					expect([200, 422], `${table.name} ${name} ${said}: ${await response.text()}`).toContain(response.status);
				}
		}
	});
});
