import { createHash } from 'node:crypto';
import { and, inArray, or, type SQL } from 'drizzle-orm';
import type { MySqlColumn } from 'drizzle-orm/mysql-core';
import type { z } from 'zod';
import { proposeBenchCode } from '$lib/core/stations/intake/bench-code';
import { CORE_VERSION } from '$lib/core/version';
import { FORMAT_VERSION, type Bundle, type bundleImportBody } from '$lib/schemas/exchange';
import { errorAt, type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader, Transaction } from '../base/db/client';
import { spool } from '../base/db/schema';
import { hiddenSpools } from '../record/evidence/load';
import { firstEntered } from '../stations/intake/product';
import { lockCodes } from '../record/codes/bench-codes';
import { notFound, problem, refuse } from '../base/problem';
import { writeOnce } from '../base/write/write-once';
import { columnsOf, toWire } from '../record/rows/column';
import { letOthersIn, turns } from '../base/polite/let-others-in';
import { canonical } from '../base/write/canonical';
import { brokenLogs, checkTogether } from './check-together';
import type { Checked } from './checked';
import { tablesOfToday } from './earlier-formats';
import { raiseAll, importRows, type Aliases } from './import-rows';
import { RECORD_TABLES, writtenOrder, type RecordTable } from '../record/rows/tables';

type Row = Record<string, unknown>;

/** Small tables of the workshop go along whole: what a trial does not use does no harm, and nothing it uses is missing. */
const WHOLE = new Set(['instruments', 'instrument-checks', 'gauge-studies', 'printers', 'dryers', 'dryer-checks', 'pieces', 'handbook']);

/** A trial with its spools and all their evidence as one document. Closed while one of its spools is in a blind trial. */
export async function exportBundle(db: Reader, trialId: string, now: number): Promise<Bundle> {
	const found = new Map<string, Row[]>();
	const idsOf = (table: string, column = 'id') => [...new Set((found.get(table) ?? []).map((r) => String(r[column])))];
	const take = async (name: string, by: Record<string, string[]>): Promise<void> => {
		found.set(name, await rowsBy(db, RECORD_TABLES.find((t) => t.name === name) as RecordTable, by));
	};
	await take('trials', { id: [trialId] });
	if (!found.get('trials')?.length) throw notFound('trial');
	for (const name of ['trial-spools', 'protocols', 'criteria', 'trial-prior-sets', 'own-measures', 'verdicts'])
		await take(name, { trialId: [trialId] });
	const left = new Set((found.get('trial-spools') ?? []).flatMap((row) => (row.leftAt === null ? [] : [String(row.spoolId)])));
	// A spool that left the trial is nobody's business there, nor what was decided about it, nor that it once stood first.
	found.set(
		'trial-spools',
		(found.get('trial-spools') ?? []).filter((row) => row.leftAt === null)
	);
	// Judged by the same priors, another bench finds the same numbers.
	await take('prior-sets', { id: idsOf('trial-prior-sets', 'priorSetId') });
	const spoolIds = idsOf('trial-spools', 'spoolId');
	found.set(
		'verdicts',
		(found.get('verdicts') ?? [])
			.filter((row) => spoolIds.includes(String(row.spoolId)))
			.map((row) => ({ ...row, snapshot: without(row.snapshot, left) }))
	);
	found.set(
		'trial-prior-sets',
		(found.get('trial-prior-sets') ?? []).map((row) =>
			[row.firstBefore, row.firstAfter].every((id) => id === null || spoolIds.includes(id as string))
				? row
				: { ...row, firstBefore: null, firstAfter: null }
		)
	);
	const hidden = await hiddenSpools(db, spoolIds);
	if (hidden.size > 0) throw problem(409, 'blindBundle');
	await take('spools', { id: spoolIds });
	await take('filaments', { id: idsOf('spools', 'filamentId') });
	// As they were first entered: their corrections go along as such, and fit a bench that has either.
	const entered = await firstEntered(db, idsOf('filaments'));
	found.set(
		'filaments',
		(found.get('filaments') ?? []).map((row) => ({ ...row, ...entered.get(String(row.id)) }))
	);
	await take('makers', { id: idsOf('filaments', 'makerId') });
	for (const name of ['claims', 'lots', 'quotes']) await take(name, { filamentId: idsOf('filaments') });
	for (const name of ['purchases', 'events', 'attempts', 'specimens', 'readings', 'parts']) await take(name, { spoolId: spoolIds });
	await take('logs', { spoolId: spoolIds });
	await take('log-chunks', { seriesId: idsOf('logs') });
	await take('drying-run-spools', { spoolId: spoolIds });
	await take('drying-runs', { id: idsOf('drying-run-spools', 'runId') });
	await take('drying-run-ends', { runId: idsOf('drying-runs') });
	await take('part-states', { partId: idsOf('parts') });
	for (const name of WHOLE) found.set(name, await rowsBy(db, RECORD_TABLES.find((t) => t.name === name) as RecordTable, null));
	// Readings of another trial's own measures come along with the spool; so must the measures.
	const measures = idsOf('readings', 'ownMeasureId').filter((m) => m !== 'null' && !idsOf('own-measures').includes(m));
	if (measures.length > 0) await withOtherTrials(db, found, measures);
	const owners = [
		...spoolIds,
		trialId,
		...['printers', 'instruments', 'dryers', 'drying-runs', 'filaments', 'pieces', 'verdicts', 'own-measures'].flatMap((name) =>
			idsOf(name)
		)
	];
	for (const name of ['amendments', 'notes']) await take(name, { spoolId: owners });
	return {
		format: 'draught-trial',
		formatVersion: FORMAT_VERSION,
		coreVersion: CORE_VERSION,
		exportedAt: new Date(now).toISOString(),
		trialId,
		tables: Object.fromEntries(RECORD_TABLES.flatMap((t) => (found.get(t.name)?.length ? [[t.name, found.get(t.name) ?? []]] : [])))
	};
}

/** Frozen findings without those of spools that have left since: whatever tells of one of them stays behind. */
function without(value: unknown, ids: ReadonlySet<string>): unknown {
	const tells = (v: unknown): boolean =>
		typeof v === 'string'
			? ids.has(v)
			: Array.isArray(v)
				? v.some(isId)
				: v !== null && typeof v === 'object' && Object.values(v).some(isId);
	const isId = (v: unknown): boolean => typeof v === 'string' && ids.has(v);
	if (Array.isArray(value)) return value.filter((v) => !tells(v)).map((v) => without(v, ids));
	if (value === null || typeof value !== 'object') return isId(value) ? null : value;
	return Object.fromEntries(Object.entries(value).flatMap(([name, v]) => (ids.has(name) ? [] : [[name, without(v, ids)]])));
}

/** Own measures belong to a trial: those of other trials bring that trial's name, rules and weights, but none of its spools. */
async function withOtherTrials(db: Reader, found: Map<string, Row[]>, measures: string[]): Promise<void> {
	const of = (name: string) => RECORD_TABLES.find((t) => t.name === name) as RecordTable;
	const more = await rowsBy(db, of('own-measures'), { id: measures });
	const trialIds = [...new Set(more.map((m) => String(m.trialId)))];
	found.set('own-measures', [...(found.get('own-measures') ?? []), ...more]);
	found.set('trials', [...(found.get('trials') ?? []), ...(await rowsBy(db, of('trials'), { id: trialIds }))]);
	for (const name of ['protocols', 'criteria'])
		found.set(name, [...(found.get(name) ?? []), ...(await rowsBy(db, of(name), { trialId: trialIds }))]);
}

async function rowsBy(db: Reader, table: RecordTable, by: Record<string, string[]> | null): Promise<Row[]> {
	const columns = columnsOf(table.table);
	const of = (name: string) => columns.find((c) => c.name === name)?.column as MySqlColumn;
	const conditions: SQL[] = Object.entries(by ?? {}).flatMap(([name, ids]) => (ids.length > 0 ? [inArray(of(name), ids)] : []));
	if (by && conditions.length === 0) return [];
	const rows = await db
		.select()
		.from(table.table)
		.where(and(or(...conditions), table.only))
		.orderBy(...writtenOrder(table));
	return rows.map((row) => toWire(columns, row));
}

export type BundleAnswer = { trialId: string; fresh: number; known: number; renamed: { from: string; to: string }[] };

/** Takes a bundle in, whole or not at all. Merging goes by id; a bench code that is taken here is replaced by a free one, and told. */
export async function importBundle(
	db: Database,
	body: z.output<typeof bundleImportBody>,
	now: number
): Promise<{ answer: BundleAnswer; repeated: boolean }> {
	const { trialId } = body.bundle;
	const tables = tablesOfToday(body.bundle.tables);
	const unknown = Object.keys(tables).find((name) => !RECORD_TABLES.some((t) => t.name === name));
	if (unknown) throw refuse([fieldError(`bundle.tables.${unknown}`, 'noSuchTable')]);
	if (!tables.trials?.some((t) => t.id === trialId)) throw refuse([fieldError('bundle.trialId', 'noTrialInBundle')]);
	return await writeOnce(db, { id: body.id, kind: 'bundle', body: await fingerprint(tables), now }, async (tx) => {
		await lockCodes(tx);
		const { spools, renamed } = await freeCodes(tx, tables.spools ?? []);
		const aliases: Aliases = new Map();
		const errors: FieldError[] = [];
		let fresh = 0;
		let known = 0;
		const brought: { table: RecordTable; rows: readonly Checked[] }[] = [];
		for (const table of RECORD_TABLES) {
			const rows = table.name === 'spools' ? spools : (tables[table.name] ?? []);
			if (rows.length === 0) continue;
			const taken = await importRows(
				tx,
				table,
				rows.map((values, i) => ({ row: i, values })),
				aliases,
				now,
				{ together: false }
			);
			brought.push({ table, rows: taken.freshRows ?? [] });
			fresh += taken.fresh;
			known += taken.known;
			errors.push(...inTable(table, taken.errors));
			// Later tables point into this one: their errors would only be echoes.
			if (errors.length > 0) throw refuse(errors.slice(0, 100));
		}
		for (const { table, rows } of brought) errors.push(...inTable(table, await checkTogether(tx, table, rows, { stored: true, now })));
		if (errors.length > 0) throw refuse(errors.slice(0, 100));
		const broken = await brokenLogs(
			tx,
			(tables.logs ?? []).map((row) => String(row.id))
		);
		if (broken.length > 0) throw refuse(broken.map(({ id, fault }) => fieldError(`bundle.tables.logs.${id}`, 'broken', { fault })));
		await raiseAll(tx);
		return { trialId, fresh, known, renamed };
	});
}

/** Errors of a table's rows, by where they stand in the bundle. */
const inTable = (table: RecordTable, errors: readonly FieldError[]): FieldError[] =>
	errors.map((e) => errorAt(`bundle.tables.${table.name}.${e.path.replace(/^rows\./, '')}`, e));

/** What tells one bundle from another, worked out bit by bit: the whole of it at once would hold up everybody else. */
async function fingerprint(tables: Bundle['tables']): Promise<Record<string, string>> {
	const turn = turns();
	const hashes: Record<string, string> = {};
	for (const [name, rows] of Object.entries(tables)) {
		const hash = createHash('sha256');
		for (const row of rows) {
			if (turn.over()) await letOthersIn();
			hash.update(canonical(row)).update('\n');
		}
		hashes[name] = hash.digest('hex');
	}
	return hashes;
}

/** Bench codes are unique on a bench: a spool that comes from another one may have to take a new code. */
async function freeCodes(tx: Transaction, rows: Row[]): Promise<{ spools: Row[]; renamed: { from: string; to: string }[] }> {
	const here = await tx.select({ id: spool.id, code: spool.benchCode }).from(spool);
	const owner = new Map(here.map((s) => [s.code, s.id]));
	const isHere = new Set(here.map((s) => s.id));
	const used = new Set([...owner.keys(), ...rows.map((r) => String(r.benchCode))]);
	const renamed: { from: string; to: string }[] = [];
	const spools = rows.map((row) => {
		const code = String(row.benchCode);
		const by = owner.get(code);
		if (by === undefined || by === row.id || isHere.has(String(row.id))) return row;
		const free = proposeBenchCode(used);
		if (!free) return row;
		used.add(free);
		renamed.push({ from: code, to: free });
		return { ...row, benchCode: free };
	});
	return { spools, renamed };
}
