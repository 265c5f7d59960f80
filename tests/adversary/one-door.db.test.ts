import { refusalWords } from '../../src/lib/words/refusals';
import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bundle as bundleSchema, bundleImportBody, csvImportBody, type Bundle } from '../../src/lib/schemas/exchange';
import type { FieldError } from '../../src/lib/schemas/field-error';
import { criteriaBody, protocolBody } from '../../src/lib/schemas/trial';
import { printerBody } from '../../src/lib/schemas/attempt';
import { dryerBody } from '../../src/lib/schemas/drying';
import { amendmentBody } from '../../src/lib/schemas/amendment';
import { readingBody } from '../../src/lib/schemas/reading';
import { read } from '../../src/lib/schemas/read';
import * as table from '../../src/lib/server/base/db/schema';
import { seedDemo } from '../../src/demo/seed';
import { postAmendment } from '../../src/lib/server/answers/amendments/post';
import { exportBundle, importBundle } from '../../src/lib/server/exchange/bundle';
import { importCsv } from '../../src/lib/server/exchange/csv-tables';
import { postReading } from '../../src/lib/server/stations/readings/post';
import { loadPieces } from '../../src/lib/server/record/pieces/load';
import { loadTrial, listTrials } from '../../src/lib/server/answers/trials/load';
import { sheetOf } from '../../src/lib/server/answers/trials/findings';
import { postProtocol } from '../../src/lib/server/answers/trials/post';
import { checked, errorsOf } from '../support/checked';
import { testDatabase, type TestDatabase } from '../support/database';

const NOW = Date.now();
const AT = new Date(NOW - 60_000).toISOString();
let bench: TestDatabase;
let trialId: string;
let whole: Bundle;

beforeAll(async () => {
	bench = await testDatabase();
	await seedDemo(bench.db, NOW);
	const trials = await listTrials(bench.db);
	// The trial with the log is the one most can be done to.
	for (const { id } of trials) {
		const found = await exportBundle(bench.db, id, NOW);
		if (found.tables['log-chunks']?.length) [trialId, whole] = [id, found];
	}
});
afterAll(() => bench.close());

/** A bundle with one thing changed, brought into an empty bench: the errors, and how many trials are there afterwards. */
async function bring(change: (tables: Bundle['tables']) => void): Promise<{ errors: FieldError[]; trials: number }> {
	const changed = structuredClone(whole);
	change(changed.tables);
	const other = await testDatabase();
	try {
		const errors = await errorsOf(() => importBundle(other.db, checked(bundleImportBody, { bundle: changed }), NOW));
		return { errors, trials: (await listTrials(other.db)).length };
	} finally {
		await other.close();
	}
}
const first = (tables: Bundle['tables'], name: string) => (tables[name] as Record<string, unknown>[])[0] as Record<string, unknown>;
const csv = (name: string, text: string) => importCsv(bench.db, checked(csvImportBody, { table: name, text, apply: true }), NOW);

describe('a bundle brings in nothing that a form would refuse', () => {
	for (const [what, name, column, value] of [
		['rules with a nonsense claim rule', 'protocols', 'claimRule', 'nonsense'],
		['rules with a negative scale of strength', 'protocols', 'strengthHighN', -5],
		['rules with 500 prints per piece', 'protocols', 'repeats', 500],
		['a piece with marks that are none', 'pieces', 'marks', [{ mark: 7 }]],
		['a piece with sizes of another', 'pieces', 'params', { wide: 'broad' }],
		['a log chunk that is no samples', 'log-chunks', 'bytes', 'AAAA'],
		['a log laid out otherwise', 'logs', 'axis', { channels: ['sideways'] }],
		['an attempt at no believable temperature', 'attempts', 'settings', { nozzleC: 9000 }],
		['weights of what is no quantity', 'criteria', 'items', [{ quantity: 'luck', weight: 5, gate: null }]],
		['a weight over ten', 'criteria', 'items', [{ quantity: 'costPerGoodKg', weight: 50, gate: null }]],
		['a printer with an impossible nozzle', 'printers', 'nozzle', '-5 parsec'],
		['a reading of the wrong station', 'readings', 'station', 'kitchen'],
		['a price below nothing', 'quotes', 'priceMinor', -100],
		['a product whose name cannot be seen', 'filaments', 'name', 'north\u202estar'],
		['a maker with a NUL in the name', 'makers', 'name', 'a\u0000b']
	] as const)
		it(what, async () => {
			const { errors, trials } = await bring((tables) => (first(tables, name)[column] = value));
			expect(errors[0]?.path).toMatch(new RegExp(`^bundle\\.tables\\.${name}\\.\\d+\\.`));
			expect(trials).toBe(0);
		});

	it('an id given twice in one file is an error, not one row', async () => {
		const { errors } = await bring((tables) => tables.readings?.push(structuredClone(first(tables, 'readings'))));
		expect(errors).toMatchObject([{ code: 'rowTwice', path: expect.stringContaining('bundle.tables.readings.') as string }]);
	});

	it('a log of which samples are missing', async () => {
		const { errors } = await bring((tables) => (first(tables, 'logs').samples = 7_000_000));
		expect(errors).toMatchObject([{ code: 'broken' }]);
	});

	it('a version of core from the future, or none', () => {
		for (const [coreVersion, code] of [
			['99.0.0', 'newerVersion'],
			['99', 'notAVersion']
		] as const) {
			const parsed = read(bundleSchema, { ...whole, coreVersion });
			expect(parsed).toMatchObject({ ok: false, errors: [{ path: 'coreVersion', code }] });
		}
	});

	it('150,000 empty rows are told by a hundred faults, and the rest is not looked at', async () => {
		const { errors } = await bring((tables) => (tables.readings = Array.from({ length: 150_000 }, () => ({}))));
		expect(errors).toHaveLength(100);
	});
});

describe('order rules hold at every door', () => {
	it('a single reading, a correction, a reinstatement and a file', async () => {
		const [print] = await bench.db.select().from(table.attempt).limit(1);
		if (!print) throw new Error('the demo has prints');
		const scorer = 'Order';
		const reading = (quantity: string, typed: string) =>
			checked(readingBody, { spoolId: print.spoolId, attemptId: print.id, quantity, typed, scorer, takenAt: AT });
		const post = async (quantity: string, typed: string) => (await postReading(bench.db, reading(quantity, typed), NOW)).answer.id;
		const amend = (targetId: string, more: object) =>
			postAmendment(bench.db, checked(amendmentBody, { targetKind: 'reading', targetId, reason: 'test', at: AT, ...more }), NOW);
		const clean = await post('overhangLastClean', '70');
		expect(await errorsOf(() => post('overhangFirstFaulty', '60'))).toMatchObject([
			{ path: 'typed', code: 'faultyNotBeyond', params: { than: 70 } }
		]);
		const faulty = await post('overhangFirstFaulty', '75');
		expect(await errorsOf(() => amend(faulty, { action: 'correct', typed: '65' }))).toMatchObject([{ code: 'faultyNotBeyond' }]);
		expect(await errorsOf(() => amend(clean, { action: 'correct', typed: '80' }))).toMatchObject([{ code: 'faultyNotBeyond' }]);
		// Marked invalid, the faulty step no longer counts and the clean one may move; then it cannot count again.
		await amend(faulty, { action: 'exclude' });
		await amend(clean, { action: 'correct', typed: '80' });
		expect(await errorsOf(() => amend(faulty, { action: 'reinstate' }))).toMatchObject([{ code: 'faultyNotBeyond' }]);
		const rows = [
			'spoolId,attemptId,quantity,typedText,takenAt,scorer',
			`${print.spoolId},${print.id},cleanFrom,220 C,${AT},File`,
			`${print.spoolId},${print.id},cleanTo,210 C,${AT},File`
		];
		expect(await errorsOf(() => csv('readings', rows.join('\n')))).toMatchObject([{ path: 'rows.3.typedText', code: 'belowCoolest' }]);
		const kept = await bench.db.select().from(table.reading).where(eq(table.reading.scorer, 'File'));
		expect(kept).toEqual([]);
	});

	it('a gross mass below the tare, in a file too', async () => {
		const [spool] = await bench.db.select().from(table.spool).limit(1);
		const rows = ['spoolId,quantity,typedText,takenAt', `${spool?.id},tareMass,9000 g,${AT}`];
		expect(await errorsOf(() => csv('readings', rows.join('\n')))).toMatchObject([{ code: 'grossBelowTare' }]);
	});
});

describe('a change of rules', () => {
	it('changes what it names and nothing else', async () => {
		const before = (await loadTrial(bench.db, trialId)).head;
		const patch = (body: object) => postProtocol(bench.db, checked(protocolBody, { trialId, ...body }), NOW);
		await patch({ failureRule: 'unknown', takeOutPrinter: true, claimRule: 'anyReading', strengthHighN: 250, repeats: 3 });
		await patch({ valueRule: 'cheapest' });
		const { head, basis } = await loadTrial(bench.db, trialId);
		expect(head.protocolVersion).toBe(before.protocolVersion + 2);
		expect(head).toMatchObject({ valueRule: 'cheapest', takeOutPrinter: true, takeOutLeniency: before.takeOutLeniency });
		expect(basis).toMatchObject({ failureRule: 'unknown', claimRule: 'anyReading', strengthHighN: 250, repeats: 3 });
	});
});

describe('refused in words', () => {
	const messages = (schema: Parameters<typeof read>[0], body: object) => {
		const parsed = read(schema, { id: v7(), ...body });
		return parsed.ok ? [] : parsed.errors.map((e) => `${e.path} ${refusalWords(e)}`);
	};
	it('what no bench means', () => {
		expect(messages(printerBody, { name: 'North', nozzle: '-5 parsec' })).toEqual([
			'nozzle must begin with its size in mm, such as 0.4 brass'
		]);
		expect(messages(printerBody, { name: 'North', nozzle: '0,6 hardened' })).toEqual([]);
		for (const name of ['a\u0000b', 'a\u0007b', 'north\u202estar', 'a\u2066b', 'a\nb', '\ud800'])
			expect(messages(dryerBody, { name })).toEqual(['name contains characters that cannot be seen; type it again']);
		expect(messages(readingBody, { spoolId: v7(), quantity: 'diameter', typed: '1.75', takenAt: '1969-12-31T23:59:59Z' })).toEqual([
			'takenAt must not be before 1970'
		]);
		expect(messages(criteriaBody, { trialId: v7(), items: [{ quantity: 'luck', weight: 1, gate: null }] })).toEqual([
			'items.0.quantity cannot be given importance'
		]);
	});
	it('and never in the words of the schema library', () => {
		const raw = /expected|received|invalid|too big|too small|unrecognized|>=|<=/i;
		const bad: [Parameters<typeof read>[0], object][] = [
			[protocolBody, { trialId: 7, repeats: 99, settingsPolicy: 'x', pieceIds: 'y', takeOutPrinter: 'z', diameterDirections: 1.5 }],
			[criteriaBody, { trialId: v7(), items: [{ quantity: 1, weight: '2', gate: { op: 'near', limit: null } }] }],
			[amendmentBody, { targetKind: 'cat', targetId: '1', action: 'eat', at: 'now', range: { fromM: -1, toM: 'x' } }],
			[bundleImportBody, { bundle: { format: 'x', formatVersion: 99, tables: { readings: 3 } } }]
		];
		for (const [schema, body] of bad) {
			const found = messages(schema, body);
			expect(found.length).toBeGreaterThan(2);
			expect(found.filter((m) => raw.test(m))).toEqual([]);
		}
	});
});

describe('a record that is damaged all the same', () => {
	it('is shown as damaged on its own place, and the rest works', async () => {
		const other = await testDatabase();
		try {
			await importBundle(other.db, checked(bundleImportBody, { bundle: whole }), NOW);
			const healthy = sheetOf(await loadTrial(other.db, trialId));
			await other.pool.query(`UPDATE piece SET marks = '[{"mark":7}]' WHERE kind IS NULL AND marks IS NOT NULL LIMIT 1`);
			await other.pool.query(`UPDATE piece SET marks = 'no JSON' WHERE kind IS NOT NULL LIMIT 1`);
			await other.pool.query(`UPDATE series_chunk SET bytes = 'AAAA'`);
			await other.pool.query('DELETE FROM series_summary');
			await other.pool.query(`UPDATE attempt SET settings = '{"nozzleC":"hot"}' ORDER BY id LIMIT 1`);
			const [rules] = await other.db.select().from(table.protocol).where(eq(table.protocol.trialId, trialId));
			if (!rules) throw new Error('the bundle has rules');
			await other.db.insert(table.protocol).values({ ...rules, id: v7(), version: 99, claimRule: 'nonsense' as never });
			await other.pool.query('UPDATE spool SET revision = revision + 1');
			await other.pool.query('DELETE FROM series_summary');
			const pieces = await loadPieces(other.db);
			expect(pieces.filter((p) => p.damaged).length).toBeGreaterThanOrEqual(1);
			const trial = await loadTrial(other.db, trialId);
			expect(trial.head.damaged).toEqual(['rules']);
			const kinds = trial.spools.flatMap((s) => s.damaged.map((d) => d.kind));
			expect(kinds).toContain('log');
			expect(sheetOf(trial).rows).toHaveLength(healthy.rows.length);
		} finally {
			await other.close();
		}
	});
});
