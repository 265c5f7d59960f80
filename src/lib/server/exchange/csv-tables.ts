import { asc } from 'drizzle-orm';
import { z } from 'zod';
import type { csvImportBody } from '$lib/schemas/exchange';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { Database, Reader } from '../db/client';
import { hiddenSpools } from '../evidence/load';
import { lockCodes } from '../intake/bench-codes';
import { notFound, problem, refuse } from '../problem';
import { writeOnce } from '../write/write-once';
import { columnsOf, toWire, type Column } from './column';
import { readCsv, writeCsv } from './csv';
import { goneColumns } from './earlier-formats';
import { MOST_ERRORS, raiseAll, importRows, type Imported } from './import-rows';
import { RECORD_TABLES, recordTable, referencesIn, writtenOrder, type RecordTable } from './tables';

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

/** A whole table as CSV. While a trial is blind, tables that tell names or prices stay closed. */
export async function exportCsv(db: Reader, name: string): Promise<string> {
	const table = knownTable(name);
	if (table.reveals && (await hiddenSpools(db)).size > 0) throw problem(409, 'blindTable', { table: name });
	const columns = columnsOf(table.table);
	const order = (table.key ?? ['id']).flatMap((k) => columns.find((c) => c.name === k)?.column ?? []).map((c) => asc(c));
	const written = writtenOrder(table);
	const rows = await db
		.select()
		.from(table.table)
		.where(table.only)
		.orderBy(...(written.length > 0 ? written : order));
	return writeCsv(
		columns,
		rows.map((row) => toWire(columns, row))
	);
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
