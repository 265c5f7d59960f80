import { nth } from '$lib/core/kernel/lists/nth';
import { inArray, sql } from 'drizzle-orm';
import type { MySqlColumn } from 'drizzle-orm/mysql-core';
import { errorAt, type FieldError, fieldError } from '$lib/schemas/field-error';
import { read } from '$lib/schemas/read';
import type { Transaction } from '../base/db/client';
import { isFuture } from '../base/time';
import { columnsOf, fromWire, toWire, type Column } from '../record/rows/column';
import { letOthersIn, turns } from '../base/polite/let-others-in';
import { canonical } from '../base/write/canonical';
import { checkRow } from '../record/rows/check-row';
import type { Checked } from './checked';
import { checkTogether } from './check-together';
import { completeRow } from '../record/rows/complete-row';
import { rowSchema } from '../record/rows/row-schema';
import type { FileRow } from './csv';
import type { LocalTime } from '../record/rows/local-time';
import { OWNER_TABLES, recordTable, referencesIn, TARGET_TABLES, type RecordTable } from '../record/rows/tables';
import { firstEntered, settleProducts } from '../stations/intake/product';

export type Imported = { fresh: number; known: number; errors: FieldError[]; freshRows?: readonly Checked[] };

/** Ids of a file that stand for something already here under another id (a maker of the same name). */
export type Aliases = Map<string, string>;

const CHUNK = 400;
/** A file that is wrong from end to end is told a hundred times, not twenty thousand. */
export const MOST_ERRORS = 100;

/**
 * Brings rows of one table in: completed, checked, their references known, duplicates told apart. What is here already with the same
 * content is left alone; the same id with other content is an error, since raw records are never overwritten.
 * Inserts nothing when a row is wrong; the caller rolls back what other tables brought. With `previewOnly` nothing is inserted at all.
 */
export async function importRows(
	tx: Transaction,
	table: RecordTable,
	rows: readonly FileRow[],
	aliases: Aliases,
	now: number,
	{ previewOnly = false, local, together = true }: { previewOnly?: boolean; local?: LocalTime; together?: boolean } = {}
): Promise<Imported> {
	const columns = columnsOf(table.table);
	const schema = rowSchema(table, columns);
	const errors: FieldError[] = [];
	const named = await namesOf(tx, table, rows);
	const checked: { row: number; values: Record<string, unknown> }[] = [];
	const turn = turns();
	for (const { row, values } of rows) {
		// A file that is wrong from end to end is told by its first faults.
		if (errors.length >= MOST_ERRORS) return { fresh: 0, known: 0, errors: errors.slice(0, MOST_ERRORS) };
		if (turn.over()) await letOthersIn();
		const path = `rows.${row}`;
		const whole = completeRow(table, withAliases(named(values), aliases), now, local);
		const parsed = read(schema, whole);
		if (!parsed.ok) {
			errors.push(...parsed.errors.map((e) => errorAt(`${path}.${e.path}`, e)));
			continue;
		}
		const future = columns.find(
			(c) => c.kind === 'moment' && c.name !== 'plannedEndAt' && isFuture(Date.parse(String(parsed.value[c.name])), now)
		);
		if (future) errors.push(fieldError(`${path}.${future.name}`, 'future'));
		errors.push(...checkRow(table, parsed.value, path));
		checked.push({ row, values: parsed.value });
	}
	errors.push(...(await unknownReferences(tx, table, checked)));
	const { fresh, known, clashes } = await partByKnown(tx, table, { columns, schema }, checked, aliases);
	errors.push(...clashes);
	if (errors.length > 0) return { fresh: fresh.length, known, errors: errors.sort((a, b) => rowOf(a) - rowOf(b)).slice(0, MOST_ERRORS) };
	if (previewOnly) return { fresh: fresh.length, known, errors: await checkTogether(tx, table, fresh, { stored: false, now }) };
	for (let i = 0; i < fresh.length; i += CHUNK)
		await tx.insert(table.table).values(fresh.slice(i, i + CHUNK).map((r) => fromWire(columns, r.values)));
	// A product that was corrected elsewhere is corrected here too.
	if (table.name === 'amendments')
		await settleProducts(
			tx,
			[...new Set(fresh.flatMap(({ values: v }) => (v.targetKind === 'filament' ? [String(v.targetId)] : [])))],
			now
		);
	// Of a bundle it is asked once all of it is here: what corrects a row comes in after it.
	const errorsTogether = together ? await checkTogether(tx, table, fresh, { stored: true, now }) : [];
	return { fresh: fresh.length, known, errors: errorsTogether, freshRows: fresh };
}

const rowOf = (error: FieldError): number => Number(error.path.split('.')[1] ?? 0);

function withAliases(values: Record<string, unknown>, aliases: Aliases): Record<string, unknown> {
	return Object.fromEntries(Object.entries(values).map(([name, v]) => [name, typeof v === 'string' ? (aliases.get(v) ?? v) : v]));
}

/** By what people name a thing in a reference cell, instead of its id. */
const NAMES: Record<string, string> = { spools: 'benchCode', makers: 'name', instruments: 'name', printers: 'name', dryers: 'name' };

/** Lets a reference be a bench code or a name where that is unmistakable; anything else is left for the schema to refuse. */
async function namesOf(
	tx: Transaction,
	table: RecordTable,
	rows: readonly FileRow[]
): Promise<(values: Record<string, unknown>) => Record<string, unknown>> {
	const refs = Object.entries(referencesIn(table)).filter(([, target]) => target in NAMES);
	const isId = (v: unknown) => typeof v === 'string' && /^[0-9a-f-]{36}$/i.test(v);
	const found = new Map<string, Map<string, string | null>>();
	for (const [name, target] of refs) {
		if (!rows.some((r) => typeof r.values[name] === 'string' && !isId(r.values[name])) || found.has(target)) continue;
		const into = recordTable(target) as RecordTable;
		const by = columnNamed(into, NAMES[target] as string);
		const all = await tx.select({ id: columnNamed(into, 'id'), name: by }).from(into.table);
		const map = new Map<string, string | null>();
		for (const one of all) map.set(String(one.name), map.has(String(one.name)) ? null : String(one.id));
		found.set(target, map);
	}
	return (values) => {
		const named = { ...values };
		for (const [name, target] of refs) {
			const value = named[name];
			if (typeof value === 'string' && !isId(value)) named[name] = found.get(target)?.get(value.trim()) ?? value;
		}
		return named;
	};
}

function columnNamed(table: RecordTable, name: string): MySqlColumn {
	const column = columnsOf(table.table).find((c) => c.name === name);
	if (!column) throw new Error(`${table.name} has no column ${name}`);
	return column.column;
}

async function existing(tx: Transaction, target: string, ids: string[]): Promise<Set<string>> {
	const into = recordTable(target) as RecordTable;
	const column = columnNamed(into, 'id');
	const known = new Set<string>();
	for (let i = 0; i < ids.length; i += CHUNK)
		for (const row of await tx
			.select({ id: column })
			.from(into.table)
			.where(inArray(column, ids.slice(i, i + CHUNK))))
			known.add(String(row.id));
	return known;
}

async function unknownReferences(tx: Transaction, table: RecordTable, rows: readonly Checked[]): Promise<FieldError[]> {
	const wanted = new Map<string, Set<string>>();
	const references = referencesIn(table);
	const pointers = rows.flatMap((r) => pointersOf(references, r));
	for (const p of pointers) wanted.set(p.target, (wanted.get(p.target) ?? new Set()).add(p.id));
	const known = new Map<string, Set<string>>();
	for (const [target, ids] of wanted) known.set(target, await existing(tx, target, [...ids]));
	return pointers
		.filter((p) => !known.get(p.target)?.has(p.id))
		.map((p) => fieldError(`rows.${p.row}.${p.name}`, 'pointsNowhere', { table: p.target }));
}

/** What a row points at. Amendments and notes say themselves what kind of thing they are about. */
function pointersOf(
	references: Record<string, string>,
	{ row, values }: Checked
): { row: number; name: string; target: string; id: string }[] {
	const plain = Object.entries(references).flatMap(([name, target]) =>
		typeof values[name] === 'string' ? [{ row, name, target, id: values[name] }] : []
	);
	if (!('targetKind' in values)) return plain;
	const kind = String(values.targetKind);
	const owner = OWNER_TABLES[kind] ?? 'spools';
	return [
		{ row, name: 'targetId', target: TARGET_TABLES[kind] as string, id: String(values.targetId) },
		{ row, name: 'spoolId', target: owner, id: String(values.spoolId) }
	];
}

/** Tells rows that are new from rows that are here; the same key with other content, or twice in the file, is a clash. */
async function partByKnown(
	tx: Transaction,
	table: RecordTable,
	{ columns, schema }: { columns: readonly Column[]; schema: ReturnType<typeof rowSchema> },
	rows: readonly Checked[],
	aliases: Aliases
): Promise<{ fresh: Checked[]; known: number; clashes: FieldError[] }> {
	const key = table.key ?? ['id'];
	const keyOf = (values: Record<string, unknown>) => key.map((k) => String(values[k])).join(' ');
	const here = new Map<string, Record<string, unknown>>();
	const first = columnNamed(table, nth(key, 0));
	const ids = [...new Set(rows.map((r) => String(r.values[nth(key, 0)])))];
	for (let i = 0; i < ids.length; i += CHUNK)
		for (const row of await tx
			.select()
			.from(table.table)
			.where(inArray(first, ids.slice(i, i + CHUNK)))) {
			const wire = toWire(columns, row);
			here.set(keyOf(wire), wire);
		}
	// A file from before a correction says what was entered first.
	const firstSaid = table.name === 'filaments' ? await firstEntered(tx, ids) : new Map<string, Record<string, unknown>>();
	const others = table.knownBy ? await byName(tx, table, table.knownBy) : new Map<string, string>();
	const taken = table.name === 'spools' ? await byName(tx, table, 'benchCode') : new Map<string, string>();
	const together = await uniques(tx, table);
	const ignored = new Set(['createdAt', ...(table.ofThisBench ?? [])]);
	const fresh: Checked[] = [];
	const clashes: FieldError[] = [];
	const inFile = new Map<string, number>();
	let known = 0;
	const turn = turns();
	for (const one of rows) {
		const { values, row } = one;
		const path = `rows.${row}`;
		if (turn.over()) await letOthersIn();
		const twice = inFile.get(keyOf(values));
		inFile.set(keyOf(values), row);
		if (twice !== undefined) {
			clashes.push(fieldError(`${path}.${key[0]}`, 'rowTwice', { row: twice }));
			continue;
		}
		const before = here.get(keyOf(values));
		const sameName = table.knownBy ? others.get(String(values[table.knownBy])) : undefined;
		if (before) {
			// What an earlier version did not ask for is nothing said, in the file as here.
			const reread = read(schema, before);
			const ways = [before, { ...before, ...firstSaid.get(keyOf(values)) }, ...(reread.ok ? [reread.value] : [])];
			const differs = differsFrom(ways, values, (c) => !ignored.has(c));
			if (differs) clashes.push(fieldError(`${path}.${differs.name}`, 'hereOtherwise'));
			known += 1;
		} else if (sameName !== undefined) {
			aliases.set(String(values.id), sameName);
			known += 1;
		} else if (taken.has(String(values.benchCode)))
			clashes.push(fieldError(`${path}.benchCode`, 'codeTaken', { code: String(values.benchCode) }));
		else if (together.has(values)) clashes.push(fieldError(`${path}.${together.column}`, 'hereAlready'));
		else {
			fresh.push(one);
			together.add(values);
			here.set(keyOf(values), values);
			if (table.knownBy) others.set(String(values[table.knownBy]), String(values.id));
			if (table.name === 'spools') taken.set(String(values.benchCode), String(values.id));
		}
	}
	return { fresh, known, clashes };
}

/** The first column by which a row of a file is unlike what is here; none where it is like one of the ways in which that may stand. */
function differsFrom(
	here: readonly Record<string, unknown>[],
	values: Record<string, unknown>,
	counts: (column: string) => boolean
): { name: string } | undefined {
	const unlike = here.map((row) => Object.keys(row).find((name) => counts(name) && canonical(row[name]) !== canonical(values[name])));
	return unlike.includes(undefined) ? undefined : { name: unlike[0] as string };
}

/** Columns that may stand only once together, such as the version of a trial's protocol. */
async function uniques(tx: Transaction, table: RecordTable) {
	const names = table.unique ?? [];
	const of = (values: Record<string, unknown>) => names.map((n) => String(values[n])).join(' ');
	const rows = names.length ? await tx.select(Object.fromEntries(names.map((n) => [n, columnNamed(table, n)]))).from(table.table) : [];
	const seen = new Set(rows.map((r) => of(r)));
	return {
		column: names.at(-1) ?? '',
		has: (values: Record<string, unknown>) => names.length > 0 && seen.has(of(values)),
		add: (values: Record<string, unknown>) => void seen.add(of(values))
	};
}

async function byName(tx: Transaction, table: RecordTable, name: string): Promise<Map<string, string>> {
	const rows = await tx.select({ id: columnNamed(table, 'id'), name: columnNamed(table, name) }).from(table.table);
	return new Map(rows.map((r) => [String(r.name), String(r.id)]));
}

/** Whatever came in, every spool and trial is seen anew. */
export async function raiseAll(tx: Transaction): Promise<void> {
	await tx.execute(sql`UPDATE spool SET revision = revision + 1`);
	await tx.execute(sql`UPDATE trial SET revision = revision + 1`);
}
