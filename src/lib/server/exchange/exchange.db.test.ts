import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked } from '../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../tests/support/database';
import { bundle as bundleSchema, bundleImportBody, FORMAT_VERSION, csvImportBody, type Bundle } from '$lib/schemas/exchange';
import type { FieldError } from '$lib/schemas/field-error';
import { read } from '$lib/schemas/read';
import { archivingBody } from '$lib/schemas/archiving';
import { productFactsBody } from '$lib/schemas/spool';
import { dryingFactsBody } from '$lib/schemas/drying';
import { attempt, dryingRunEnd, piece, reading, spool, trial, verdict } from '../base/db/schema';
import { postDryingFacts } from '../stations/drying/correct-run';
import { postProductFacts } from '../stations/intake/product';
import { postArchiving } from '../record/facts/archive';
import { seedDemo } from '../../../demo/seed';
import { Problem } from '../base/problem';
import { postBlind } from '../answers/trials/post';
import { pickOf, sheetOf } from '../answers/trials/findings';
import { listTrials, loadTrial } from '../answers/trials/load';
import { exportBundle, importBundle } from './bundle';
import { describeTables, exportCsv, importCsv } from './csv-tables';
import { RECORD_TABLES } from '../record/rows/tables';

let bench: TestDatabase;
const NOW = Date.now();
beforeAll(async () => {
	bench = await testDatabase();
	await seedDemo(bench.db, NOW);
	// What was put right or put away goes along, like all else.
	const [run] = await bench.db.select().from(dryingRunEnd);
	const facts = { id: v7(), runId: run?.runId, setPoint: '51 C', reason: 'wrong dial' };
	await postDryingFacts(bench.db, dryingFactsBody.parse(facts), NOW);
	const [decided] = await bench.db.select().from(verdict);
	const [made] = await bench.db.select().from(piece);
	for (const [kind, one] of [
		['verdict', decided],
		['piece', made]
	] as const)
		await postArchiving(bench.db, archivingBody.parse({ id: v7(), kind, targetId: one?.id, archived: true }), NOW);
});
afterAll(() => bench.close());

const take = (db: TestDatabase['db'], table: string, text: string, apply = true) =>
	importCsv(db, csvImportBody.parse({ id: v7(), table, text, apply }), NOW);
async function errorsOf(work: Promise<unknown>): Promise<FieldError[]> {
	const problem = await work.then(
		() => null,
		(error: unknown) => error
	);
	if (!(problem instanceof Problem)) throw new Error('was not refused');
	return problem.errors;
}
const count = async (db: TestDatabase['db']) => (await db.select({ id: reading.id }).from(reading)).length;

/** A whole table, its parts put together. */
async function csvOf(db: Parameters<typeof exportCsv>[0], name: string): Promise<string> {
	let text = '';
	for await (const part of await exportCsv(db, name)) text += part;
	return text;
}

describe('CSV, every table both ways', () => {
	it('a whole bench goes out and comes into an empty one, table by table, and comes out the same', async () => {
		const other = await testDatabase();
		for (const { name } of RECORD_TABLES) {
			const text = await csvOf(bench.db, name);
			if (text.trim().split('\n').length < 2) continue;
			const { answer } = await take(other.db, name, text);
			expect(answer.fresh + answer.known, name).toBe(answer.rows);
			expect(await csvOf(other.db, name), name).toBe(text);
		}
		const [first] = await listTrials(bench.db);
		const findings = async (db: TestDatabase['db']) => bare(sheetOf(await loadTrial(db, first?.id ?? '')));
		expect(await findings(other.db)).toEqual(await findings(bench.db));
		await other.close();
	});
	it('the demo has rows in all tables that have a page', async () => {
		const empty: string[] = [];
		for (const { name } of RECORD_TABLES) if ((await csvOf(bench.db, name)).trim().split('\n').length < 2) empty.push(name);
		expect(empty).toEqual([]);
	});
	it('the same file again changes nothing and says that all is here', async () => {
		const text = await csvOf(bench.db, 'readings');
		const { answer } = await take(bench.db, 'readings', text);
		expect(answer).toMatchObject({ fresh: 0, known: answer.rows });
	});
	it('a file without rows, a quote that is not closed, a column twice and one it does not know are told as that', async () => {
		const wrong = async (text: string) => (await errorsOf(take(bench.db, 'notes', text))).map((e) => [e.path, e.code]);
		expect(await wrong('id,targetKind,targetId,text,at\n')).toEqual([['text', 'noRows']]);
		expect(await wrong('id,text\n1,"open\n')).toEqual(expect.arrayContaining([['rows.2', 'csvQuotes']]));
		expect(await wrong('text,text\na,b\n')).toEqual(expect.arrayContaining([['rows.1', 'columnTwice']]));
		expect(await wrong('text,mood\na,b\n')).toEqual(expect.arrayContaining([['rows.1', 'unknownColumn']]));
	});
	it('one fault in row 17 and nothing is stored; the row and the column are named', async () => {
		const code = (await bench.db.select({ code: spool.benchCode }).from(spool))[0]?.code ?? '';
		const rows = Array.from({ length: 30 }, (_, i) => `${code},diameter,${i === 15 ? '1.7x' : '1.75'},2026-11-01T10:00:00Z`);
		const before = await count(bench.db);
		const errors = await errorsOf(take(bench.db, 'readings', ['spoolId,quantity,typedText,takenAt', ...rows].join('\n')));
		expect(errors).toMatchObject([{ path: 'rows.17.typedText', code: 'unknownUnit' }]);
		expect(await count(bench.db)).toBe(before);
	});
	it('a hand-made file names the spool by its bench code and lets the value follow from what was typed', async () => {
		const [one] = await bench.db.select({ id: spool.id, code: spool.benchCode }).from(spool);
		const text = `spoolId;quantity;typedText;typedUnit;takenAt\n${one?.code};grossMass;2,5;lb;2026-11-20T10:00:00Z\n${one?.code};diameter;0.069 in;;2026-11-20T10:01:00Z\n`;
		expect((await take(bench.db, 'readings', text)).answer).toMatchObject({ fresh: 2, applied: true });
		const [mass] = await bench.db.select().from(reading).where(eq(reading.typedText, '2,5'));
		expect(mass).toMatchObject({ spoolId: one?.id, station: 'moisture', typedUnit: 'lb', value: 1133.980925 });
	});
	it('takes a spreadsheet’s date and time as it stands where the file comes from', async () => {
		const [one] = await bench.db.select({ code: spool.benchCode }).from(spool);
		const rows = [`${one?.code};diameter;1.7411;3/4/2026 8:30;`, `${one?.code};diameter;1.7412;3/4/2026 8:30;Asia/Tokyo`].join('\n');
		const text = `spoolId;quantity;typedText;takenAt;zone\n${rows}\n`;
		const file = { table: 'readings', text, apply: true, zone: 'Europe/Prague', dayFirst: true };
		const body = (given: object) => csvImportBody.parse({ id: v7(), ...file, ...given });
		expect((await importCsv(bench.db, body({}), NOW)).answer).toMatchObject({ fresh: 2 });
		const taken = async (typed: string) => (await bench.db.select().from(reading).where(eq(reading.typedText, typed)))[0];
		expect(await taken('1.7411')).toMatchObject({ takenAt: Date.parse('2026-04-03T06:30:00Z'), zone: 'Europe/Prague' });
		// What the row says of itself goes before what the file comes from.
		expect(await taken('1.7412')).toMatchObject({ takenAt: Date.parse('2026-04-02T23:30:00Z'), zone: 'Asia/Tokyo' });
		const monthFirst = await errorsOf(importCsv(bench.db, body({ text: text.replaceAll('3/4/2026', '27/3/2026'), dayFirst: false }), NOW));
		expect(monthFirst).toMatchObject([
			{ path: 'rows.2.takenAt', code: 'notAnInstant' },
			{ path: 'rows.3.takenAt', code: 'notAnInstant' }
		]);
	});
	it('tells the words that may stand in a column', () => {
		const words = (table: string, column: string) =>
			describeTables()
				.find((t) => t.name === table)
				?.columns.find((c) => c.name === column)?.words;
		expect(words('attempts', 'outcome')).toEqual(['finished', 'failed', 'ofNoUse']);
		expect(words('claims', 'quantity')).toContain('diameterTolerance');
		expect(words('makers', 'name')).toBeNull();
	});
	it('a preview stores nothing', async () => {
		const code = (await bench.db.select({ code: spool.benchCode }).from(spool))[0]?.code ?? '';
		const before = await count(bench.db);
		const { answer } = await take(
			bench.db,
			'readings',
			`spoolId,quantity,typedText,takenAt\n${code},diameter,1.75,2026-11-01T10:00:00Z\n`,
			false
		);
		expect(answer).toMatchObject({ rows: 1, fresh: 1, applied: false });
		expect(await count(bench.db)).toBe(before);
	});
	it('refuses what it does not know: columns, tables, references, words, times to come', async () => {
		const code = (await bench.db.select({ code: spool.benchCode }).from(spool))[0]?.code ?? '';
		const one = (header: string, row: string) => errorsOf(take(bench.db, 'readings', `${header}\n${row}\n`));
		expect(await one('spoolId,colour', `${code},red`)).toMatchObject([{ path: 'rows.1', code: 'unknownColumn' }]);
		expect(await one('spoolId,quantity,typedText,takenAt', 'ZZ9,diameter,1.75,2026-11-01T10:00:00Z')).toMatchObject([
			{ path: 'rows.2.spoolId' }
		]);
		expect(await one('spoolId,quantity,typedText,takenAt', `${v7()},diameter,1.75,2026-11-01T10:00:00Z`)).toMatchObject([
			{ code: 'pointsNowhere', params: { table: 'spools' } }
		]);
		expect(await one('spoolId,quantity,typedText,takenAt', `${code},girth,1.75,2026-11-01T10:00:00Z`)).toMatchObject([
			{ path: 'rows.2.quantity' }
		]);
		expect(await one('spoolId,quantity,typedText,takenAt', `${code},diameter,1.75,2099-11-01T10:00:00Z`)).toMatchObject([
			{ code: 'future' }
		]);
		expect(await one('spoolId,quantity,typedText,takenAt,value', `${code},diameter,1.75,2026-11-01T10:00:00Z,1.85`)).toMatchObject([
			{ path: 'rows.2.value', code: 'valueContradictsText' }
		]);
		expect(await one('spoolId,quantity,typedText,takenAt', `${code},diameter,1.75`)).toMatchObject([
			{ path: 'rows.2', code: 'wrongCells' }
		]);
		await expect(take(bench.db, 'write_log', 'id\nx\n')).rejects.toMatchObject({ status: 404 });
	});
	it('a file is no way around a rule: prints, corrections and versions are checked as the API checks them', async () => {
		const [one] = await bench.db.select({ id: spool.id, code: spool.benchCode }).from(spool);
		const [first] = await bench.db.select({ id: reading.id, spoolId: reading.spoolId }).from(reading);
		const at = '2026-11-01T10:00:00Z';
		const piece = '01900000-0000-7000-8000-000000000001';
		const said = (table: string, header: string, row: string) => errorsOf(take(bench.db, table, `${header}\n${row}\n`));
		const attempt = 'spoolId,pieceId,at,outcome,percentReached,cause,settings';
		expect(await said('attempts', attempt, `${one?.code},${piece},${at},failed,100,,{}`)).toMatchObject([
			{ path: 'rows.2.percentReached' },
			{ path: 'rows.2.cause', code: 'causeMissing' }
		]);
		expect(await said('attempts', attempt, `${one?.code},${piece},${at},finished,40,,{}`)).toMatchObject([
			{ code: 'finishedContradicted' }
		]);
		expect(await said('attempts', attempt, `${one?.code},${piece},${at},finished,100,,nojson`)).toMatchObject([{ code: 'wrongKind' }]);
		const amendment = 'spoolId;targetKind;targetId;action;replacement;reason;at';
		const amend = (replacement: string, action = 'correct') =>
			said('amendments', amendment, `${first?.spoolId};reading;${first?.id};${action};${replacement};x;${at}`);
		expect(await amend('"{""id"":""other""}"')).toMatchObject([{ code: 'unknownFields' }]);
		expect(await amend('')).toMatchObject([{ path: 'rows.2.replacement', code: 'correctionMissing' }]);
		expect(await amend('"{""value"":1}"', 'exclude')).toMatchObject([{ code: 'onlyForCorrections' }]);
		expect(await amend('', 'undo')).toMatchObject([{ path: 'rows.2.undoesId' }]);
		const [, protocol] = (await csvOf(bench.db, 'protocols')).split('\n');
		const trialId = (protocol ?? '').split(',')[1];
		const rules = 'trialId,version,settingsPolicy,conditionPolicy,valueRule,mainPieceId,repeats,diameterPlaces,diameterDirections';
		const version = (n: number) => `${trialId},${n},label,asReceived,weighted,${piece},1,5,2`;
		expect(await said('protocols', rules, version(1))).toMatchObject([{ path: 'rows.2.version', code: 'hereAlready' }]);
		// Left out, a column takes its default.
		expect((await take(bench.db, 'protocols', `${rules}\n${version(99)}\n`, false)).answer.fresh).toBe(1);
		const [, filament] = (await csvOf(bench.db, 'filaments')).split('\n');
		expect(await said('spools', 'filamentId,benchCode', `${(filament ?? '').split(',')[0]},PA4`)).toMatchObject([
			{ path: 'rows.2.benchCode' }
		]);
	});
	it('marks out of order and a reel heavier than the whole are refused from a file too', async () => {
		const [one] = await bench.db.select({ code: spool.benchCode }).from(spool);
		const [printed] = await bench.db.select({ id: attempt.id, spoolId: attempt.spoolId }).from(attempt);
		const said = (header: string, ...rows: string[]) => errorsOf(take(bench.db, 'readings', [header, ...rows].join('\n')));
		const at = '2026-11-01T10:00:00Z';
		const mark = (quantity: string, text: string) => `${printed?.spoolId},${printed?.id},${quantity},${text},${at},file`;
		expect(
			await said(
				'spoolId,attemptId,quantity,typedText,takenAt,scorer',
				mark('overhangLastClean', '65 deg'),
				mark('overhangFirstFaulty', '50 deg')
			)
		).toMatchObject([{ path: 'rows.3.typedText', code: 'faultyNotBeyond' }]);
		const mass = (quantity: string, text: string, when: string) => `${one?.code},${quantity},${text},2020-11-0${when}T10:00:00Z`;
		expect(await said('spoolId,quantity,typedText,takenAt', mass('tareMass', '300 g', '1'), mass('grossMass', '250 g', '2'))).toMatchObject(
			[{ path: 'rows.3.typedText', code: 'grossBelowTare' }]
		);
	});
	it('a file from before a name was corrected is known', async () => {
		const other = await testDatabase();
		const upTo = RECORD_TABLES.findIndex((t) => t.name === 'spools') + 1;
		for (const { name } of RECORD_TABLES.slice(0, upTo)) await take(other.db, name, await csvOf(bench.db, name));
		const before = await csvOf(other.db, 'filaments');
		const [one] = await other.db.select({ id: spool.id }).from(spool);
		await postProductFacts(other.db, checked(productFactsBody, { spoolId: one?.id, reason: 'misread', filament: 'Another name' }), NOW);
		expect(await csvOf(other.db, 'filaments')).not.toBe(before);
		expect((await take(other.db, 'filaments', before)).answer).toMatchObject({ fresh: 0 });
		await other.close();
	});
	it('a record that is here is never overwritten by a file', async () => {
		const [header, first] = (await csvOf(bench.db, 'instruments')).split('\n');
		const changed = `${header}\n${(first ?? '').replace('Dome caliper', 'Other caliper')}\n`;
		expect(await errorsOf(take(bench.db, 'instruments', changed))).toMatchObject([{ path: 'rows.2.name', code: 'hereOtherwise' }]);
	});
	it('text that a spreadsheet would run is escaped on the way out and whole again on the way in', async () => {
		const other = await testDatabase();
		const name = '=HYPERLINK("x")';
		await take(other.db, 'makers', `name\n"'${name.replaceAll('"', '""')}"\n`);
		const text = await csvOf(other.db, 'makers');
		expect(text).toContain(`"'=HYPERLINK(""x"")"`);
		const again = await testDatabase();
		await take(again.db, 'makers', text);
		expect(await csvOf(again.db, 'makers')).toBe(text);
		await Promise.all([other.close(), again.close()]);
	});
	it('a table of an earlier version comes in; a column that is gone must be empty', async () => {
		const code = (await bench.db.select({ code: spool.benchCode }).from(spool))[0]?.code ?? '';
		const file = (eventId: string) => `spoolId,quantity,typedText,takenAt,eventId\n${code},diameter,1.75,2026-11-01T10:00:00Z,${eventId}\n`;
		expect(await errorsOf(take(bench.db, 'readings', file(v7())))).toMatchObject([{ path: 'rows.1', code: 'unknownColumn' }]);
		expect((await take(bench.db, 'readings', file(''))).answer).toMatchObject({ fresh: 1, applied: true });
	});
	it('what a row points at is documented from the foreign keys of the schema', () => {
		const pointers = (name: string) =>
			Object.fromEntries((describeTables().find((t) => t.name === name)?.columns ?? []).flatMap((c) => (c.of ? [[c.name, c.of]] : [])));
		expect(pointers('readings')).toEqual({
			spoolId: 'spools',
			instrumentId: 'instruments',
			instrumentCheckId: 'instrument-checks',
			attemptId: 'attempts',
			specimenId: 'specimens',
			ownMeasureId: 'own-measures'
		});
		expect(pointers('protocols')).toEqual({ trialId: 'trials', mainPieceId: 'pieces', printerId: 'printers' });
		expect(pointers('notes')).toEqual({});
	});
	it('tables that tell names or prices are told as such', () => {
		const revealing = describeTables().flatMap((t) => (t.reveals ? [t.name] : []));
		expect(revealing).toEqual(RECORD_TABLES.filter((t) => t.reveals === true).map((t) => t.name));
		expect(revealing).toContain('makers');
		expect(revealing).not.toContain('readings');
	});
	it('the header of every table is documented', () => {
		const readings = describeTables().find((t) => t.name === 'readings');
		expect(readings?.columns.filter((c) => c.required).map((c) => c.name)).toEqual(['spoolId', 'quantity', 'typedText', 'takenAt']);
		expect(readings?.columns.find((c) => c.name === 'spoolId')).toMatchObject({ kind: 'id', of: 'spools' });
	});
});

/** Findings without the counters of the bench they were computed on. */
function bare(value: unknown): unknown {
	return JSON.parse(JSON.stringify(value, (key, v: unknown) => (key === 'revision' ? 0 : v)));
}

describe('a trial as one bundle', () => {
	const everything = async (db: TestDatabase['db'], trialId: string) => {
		const whole = await loadTrial(db, trialId);
		return bare({ sheet: sheetOf(whole), pick: pickOf(whole), verdicts: whole.verdicts, head: whole.head });
	};
	const taken = (db: TestDatabase['db'], bundle: Bundle) => importBundle(db, bundleImportBody.parse({ id: v7(), bundle }), NOW);

	it('out of one bench and into another gives equal findings, for each trial', async () => {
		for (const { id } of await listTrials(bench.db)) {
			const other = await testDatabase();
			const usual = new Set((await other.db.select({ id: piece.id }).from(piece)).map((one) => one.id));
			const out = bundleSchema.parse(JSON.parse(JSON.stringify(await exportBundle(bench.db, id, NOW))));
			const { answer } = await taken(other.db, out);
			expect(answer.renamed).toEqual([]);
			expect(await everything(other.db, id)).toEqual(await everything(bench.db, id));
			// Counted row by row; what every bench has from its start is known already.
			const rows = Object.values(out.tables).reduce((n, of) => n + of.length, 0);
			expect(answer.fresh + answer.known).toBe(rows);
			expect(answer.known).toBe((out.tables.pieces ?? []).filter((one) => usual.has(String(one.id))).length);
			expect((await taken(other.db, out)).answer).toMatchObject({ fresh: 0, known: rows });
			await other.close();
		}
	});
	it('a print of an earlier version, with settings that were not asked for then, is known when its own bundle comes back', async () => {
		const [{ id } = { id: '' }] = await listTrials(bench.db);
		const [of] = (await exportBundle(bench.db, id, NOW)).tables.attempts ?? [];
		await bench.db
			.update(attempt)
			.set({ settings: { nozzleC: 240 } })
			.where(eq(attempt.id, String(of?.id)));
		const out = await exportBundle(bench.db, id, NOW);
		expect((await taken(bench.db, out)).answer.fresh).toBe(0);
		const otherwise = JSON.parse(JSON.stringify(out).replace('"settings":{"nozzleC":240}', '"settings":{"nozzleC":241}')) as Bundle;
		expect(await errorsOf(taken(bench.db, otherwise))).toMatchObject([{ code: 'hereOtherwise' }]);
	});
	it('a bench code that is taken gets a free one, and it is told', async () => {
		const other = await testDatabase();
		const [{ id } = { id: '' }] = await listTrials(bench.db);
		const out = await exportBundle(bench.db, id, NOW);
		const code = String(out.tables.spools?.[0]?.benchCode);
		await take(other.db, 'makers', 'name\nSomebody\n');
		await take(other.db, 'filaments', 'makerId,name,material\nSomebody,Thing,PLA\n');
		const filamentId = (await csvOf(other.db, 'filaments')).split('\n')[1]?.split(',')[0];
		await take(other.db, 'spools', `filamentId,benchCode\n${filamentId},${code}\n`);
		const { answer } = await taken(other.db, out);
		expect(answer.renamed).toMatchObject([{ from: code }]);
		expect(answer.renamed[0]?.to).not.toBe(code);
		await other.close();
	});
	it('a bundle of an earlier version comes in; a column that is gone must be empty', async () => {
		const other = await testDatabase();
		const [{ id } = { id: '' }] = await listTrials(bench.db);
		const out = await exportBundle(bench.db, id, NOW);
		const earlier = (placeId: string | null): Bundle => ({
			...out,
			formatVersion: 4,
			tables: {
				...out.tables,
				testers: [],
				events: (out.tables.events ?? []).map((row, i) => ({ ...row, placeId: i === 1 ? placeId : null, endedAt: null })),
				readings: (out.tables.readings ?? []).map((row) => ({ ...row, eventId: null }))
			}
		});
		expect(await errorsOf(taken(other.db, earlier(v7())))).toMatchObject([
			{ path: 'bundle.tables.events.1.body', params: { names: 'placeId' } }
		]);
		await taken(other.db, earlier(null));
		expect(await everything(other.db, id)).toEqual(await everything(bench.db, id));
		await other.close();
	});
	it('one wrong row and nothing of it is stored', async () => {
		const other = await testDatabase();
		const [{ id } = { id: '' }] = await listTrials(bench.db);
		const out = await exportBundle(bench.db, id, NOW);
		const broken = structuredClone(out);
		(broken.tables.readings?.[3] as Record<string, unknown>).quantity = 'girth';
		expect(await errorsOf(taken(other.db, broken))).toMatchObject([{ path: 'bundle.tables.readings.3.quantity' }]);
		expect(await other.db.select().from(trial)).toEqual([]);
		await other.close();
	});
	it('a newer format, another document and an unknown table are refused in words', async () => {
		const [{ id } = { id: '' }] = await listTrials(bench.db);
		const out = await exportBundle(bench.db, id, NOW);
		const said = (b: object) => {
			const parsed = read(bundleImportBody, { id: v7(), bundle: b });
			return parsed.ok ? [] : parsed.errors;
		};
		expect(said({ ...out, formatVersion: 99 })).toMatchObject([{ code: 'newerFormat', params: { ours: FORMAT_VERSION } }]);
		expect(said({ ...out, format: 'other' })).toMatchObject([{ code: 'notABundle' }]);
		expect(await errorsOf(taken(bench.db, { ...out, tables: { ...out.tables, secrets: [] } }))).toMatchObject([{ code: 'noSuchTable' }]);
		expect(await errorsOf(taken(bench.db, { ...out, tables: {} }))).toMatchObject([{ path: 'bundle.trialId' }]);
	});
	it('while a trial is blind, names and prices stay in', async () => {
		const trials = await listTrials(bench.db);
		const blind = async (on: boolean) => postBlind(bench.db, { id: v7(), trialId: trials[0]?.id ?? '', blind: on }, NOW);
		await blind(true);
		for (const table of ['makers', 'filaments', 'quotes', 'purchases', 'notes', 'verdicts'])
			await expect(exportCsv(bench.db, table), table).rejects.toMatchObject({ status: 409 });
		await expect(exportBundle(bench.db, trials[0]?.id ?? '', NOW)).rejects.toMatchObject({ status: 409 });
		expect(await csvOf(bench.db, 'readings')).toContain('diameter');
		await blind(false);
	});
});
