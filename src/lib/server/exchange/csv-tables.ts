import { and, asc, getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { MySqlColumn } from 'drizzle-orm/mysql-core';
import { z } from 'zod';
import type { csvImportBody } from '$lib/schemas/exchange';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../base/db/client';
import { hiddenSpools } from '../record/evidence/load';
import { lockCodes } from '../record/codes/bench-codes';
import { notFound, problem, refuse } from '../base/problem';
import { writeOnce } from '../base/write/write-once';
import { columnsOf, toWire, type Column } from '../record/rows/column';
import { letOthersIn } from '../base/polite/let-others-in';
import { readCsv, writeCsvHeader, writeCsvRows } from './csv';
import { goneColumns } from './earlier-formats';
import { MOST_ERRORS, raiseAll, importRows, type Imported } from './import-rows';
import { RECORD_TABLES, recordTable, referencesIn, type RecordTable } from '../record/rows/tables';

/** The header of every table, for the page and the API: name, kind, whether it must be filled, what it points at. */
export function describeTables() {
	return RECORD_TABLES.map((t) => ({
		name: t.name,
		about: t.about,
		reveals: t.reveals === true,
		columns: columnsOf(t.table).map((c) => ({
			name: c.name,
			kind: c.kind,
			required: c.required && !MADE_HERE.has(c.name) && !(t.name === 'readings' && READ_FROM_TEXT.has(c.name)),
			of: referencesIn(t)[c.name] ?? null,
			words: wordsOf(c, t.rules?.[c.name])
		}))
	}));
}

/** The words that may stand in a column; null where any text may. */
function wordsOf(column: Column, rule: z.ZodType | undefined): readonly string[] | null {
	if (rule instanceof z.ZodEnum) return rule.options.map(String);
	return column.words;
}

/** Columns that are filled in when a file leaves them empty. */
const MADE_HERE = new Set(['id', 'createdAt', 'zone']);
const READ_FROM_TEXT = new Set(['station', 'typedUnit']);

/** So many rows are read and written at a time: as many as make a megabyte or so, so that a table of any size takes little memory. */
const AT_A_TIME = 500;
const AT_A_TIME_WITH_BYTES = 10;

/**
 * A whole table as CSV, part by part. While a trial is blind, tables that tell names or prices stay closed. Rows come in the order of their
 * key, each part beginning behind the last row of the one before, so that nothing is read twice however large the table is.
 */
export async function exportCsv(db: Reader, name: string): Promise<AsyncGenerator<string>> {
	const table = knownTable(name);
	if (table.reveals && (await hiddenSpools(db)).size > 0) throw problem(409, 'blindTable', { table: name });
	return partsOf(db, table);
}

async function* partsOf(db: Reader, table: RecordTable): AsyncGenerator<string> {
	const columns = columnsOf(table.table);
	const key = orderKey(table);
	const most = columns.some((c) => c.kind === 'bytes') ? AT_A_TIME_WITH_BYTES : AT_A_TIME;
	yield writeCsvHeader(columns);
	let last: Record<string, unknown> | null = null;
	for (;;) {
		const rows: Record<string, unknown>[] = await db
			.select()
			.from(table.table)
			.where(and(table.only, last === null ? undefined : behind(key, last)))
			.orderBy(...key.map(({ column }) => asc(column)))
			.limit(most);
		// A part of a part, so that others get their turn.
		for (let i = 0; i < rows.length; i += 100) {
			yield writeCsvRows(
				columns,
				rows.slice(i, i + 100).map((row) => toWire(columns, row))
			);
			await letOthersIn();
		}
		last = rows.at(-1) ?? null;
		if (rows.length < most || last === null) return;
	}
}

type Key = readonly { name: string; column: MySqlColumn }[];

/** What puts the rows of a table in order, none equal to another. */
function orderKey({ table, key = ['id'] }: RecordTable): Key {
	const columns = getTableColumns(table);
	const names = 'seq' in columns ? ['seq'] : key;
	return names.flatMap((name) => (columns[name] ? [{ name, column: columns[name] }] : []));
}

/** Rows behind a row, in the order of the key. */
function behind(key: Key, row: Record<string, unknown>): SQL {
	const columns = sql.join(
		key.map(({ column }) => sql`${column}`),
		sql`, `
	);
	const values = sql.join(
		key.map(({ name, column }) => sql`${sql.param(row[name], column)}`),
		sql`, `
	);
	return sql`(${columns}) > (${values})`;
}

type CsvAnswer = { table: string; rows: number; fresh: number; known: number; applied: boolean };

const MOST_ROWS = 20_000;

/** Looks at a CSV file, or takes it: the whole file or nothing, every error at its row and column. */
export async function importCsv(
	db: Database,
	body: z.output<typeof csvImportBody>,
	now: number
): Promise<{ answer: CsvAnswer; repeated: boolean }> {
	const table = knownTable(body.table);
	const { rows, errors } = await readCsv(body.text, columnsOf(table.table), goneColumns(table.name));
	if (errors.length > 0) throw refuse(errors.slice(0, MOST_ERRORS));
	if (rows.length === 0) throw refuse([fieldError('text', 'noRows')]);
	if (rows.length > MOST_ROWS) throw refuse([fieldError('text', 'tooManyRows', { most: MOST_ROWS })]);
	const local = { zone: body.zone, dayFirst: body.dayFirst };
	const answer = (taken: Imported): CsvAnswer => {
		if (taken.errors.length > 0) throw refuse(few(taken.errors));
		return { table: table.name, rows: rows.length, fresh: taken.fresh, known: taken.known, applied: body.apply };
	};
	// Only looked at: nothing is written, so nothing is locked either, however long the file is.
	if (!body.apply)
		return {
			answer: answer(
				await db.transaction((tx) => importRows(tx, table, rows, new Map(), now, { previewOnly: true, local }), {
					isolationLevel: 'repeatable read',
					accessMode: 'read only'
				})
			),
			repeated: true
		};
	return await writeOnce(db, { id: body.id, kind: 'csvImport', body, now }, async (tx) => {
		if (table.name === 'spools') await lockCodes(tx);
		const taken = answer(await importRows(tx, table, rows, new Map(), now, { local }));
		await raiseAll(tx);
		return taken;
	});
}

function few(errors: FieldError[]): FieldError[] {
	if (errors.length < MOST_ERRORS) return errors;
	return [...errors.slice(0, MOST_ERRORS), fieldError('text', 'more')];
}

function knownTable(name: string): RecordTable {
	const table = recordTable(name);
	if (!table) throw notFound('table');
	return table;
}
