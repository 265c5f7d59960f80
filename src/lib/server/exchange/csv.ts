import Papa from 'papaparse';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { letOthersIn, turns } from '../base/polite/let-others-in';
import type { Column } from '../record/rows/column';

/** A row of a file with its number as a spreadsheet shows it: the header is row 1. */
export type FileRow = { row: number; values: Record<string, unknown> };

/**
 * Spreadsheets run what begins like this; an apostrophe in front makes it text. One that stood there already gets another, so that the
 * one that was put in front is the one that is taken away.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
const ESCAPED = /^'+[=+\-@\t\r]/;

/** The names of the columns, as the first line of a file. */
export const writeCsvHeader = (columns: readonly Column[]): string => `${Papa.unparse([columns.map((c) => c.name)], { newline: '\n' })}\n`;

/** Rows as lines of CSV. */
export function writeCsvRows(columns: readonly Column[], rows: readonly Record<string, unknown>[]): string {
	const cell = ({ name, kind }: Column, row: Record<string, unknown>): string => {
		const value = row[name];
		if (value === null || value === undefined) return '';
		if (kind === 'json') return JSON.stringify(value);
		if (kind === 'yesNo') return value ? 'yes' : 'no';
		const text = typeof value === 'string' ? value : JSON.stringify(value);
		return kind === 'text' && FORMULA.test(text) ? `'${text}` : text;
	};
	if (rows.length === 0) return '';
	return `${Papa.unparse(
		rows.map((row) => columns.map((c) => cell(c, row))),
		{ newline: '\n' }
	)}\n`;
}

/**
 * CSV text as rows of typed cells. A cell that is not of its column's kind stays the text it was, and the schema refuses it by name.
 * @param gone columns that earlier versions wrote: passed over as long as they are empty
 */
export async function readCsv(
	text: string,
	columns: readonly Column[],
	gone: readonly string[]
): Promise<{ rows: FileRow[]; errors: FieldError[] }> {
	const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd(), { skipEmptyLines: false });
	const [header = [], ...lines] = parsed.data;
	const names = header.map((h) => h.trim());
	const errors: FieldError[] = parsed.errors
		.filter((e) => e.code !== 'UndetectableDelimiter')
		.map((e) => fieldError(`rows.${(e.row ?? 0) + 1}`, 'csvQuotes'));
	const isEmpty = (name: string) => lines.every((line) => (line[names.indexOf(name)] ?? '').trim() === '');
	for (const name of names.filter((n) => !columns.some((c) => c.name === n) && !(gone.includes(n) && isEmpty(n))))
		errors.push(fieldError('rows.1', 'unknownColumn', { name, known: columns.map((c) => c.name).join(', ') }));
	const twice = names.find((n, i) => names.indexOf(n) !== i);
	if (twice) errors.push(fieldError('rows.1', 'columnTwice', { name: twice }));
	const wanted = columns.filter((c) => names.includes(c.name)).map((column) => ({ column, at: names.indexOf(column.name) }));
	const rows: FileRow[] = [];
	const turn = turns();
	for (const [i, line] of lines.entries()) {
		if (turn.over()) await letOthersIn();
		if (line.every((c) => c.trim() === '')) continue;
		if (line.length !== names.length) {
			errors.push(fieldError(`rows.${i + 2}`, 'wrongCells', { has: line.length, wanted: names.length }));
			continue;
		}
		rows.push({ row: i + 2, values: Object.fromEntries(wanted.map(({ column, at }) => [column.name, readCell(line[at] ?? '', column)])) });
	}
	return { rows, errors };
}

const YES = new Map(Object.entries({ yes: true, true: true, '1': true, no: false, false: false, '0': false }));

function readCell(cell: string, { kind }: Column): unknown {
	const text = kind === 'text' ? cell : cell.trim();
	if (text.trim() === '') return null;
	switch (kind) {
		case 'number':
		case 'whole': {
			const value = Number(text.replace(',', '.'));
			return Number.isFinite(value) ? value : text;
		}
		case 'yesNo':
			return YES.get(text.toLowerCase()) ?? text;
		case 'json':
			try {
				return JSON.parse(text) as unknown;
			} catch {
				return text;
			}
		case 'text':
			return ESCAPED.test(text) ? text.slice(1) : text;
		default:
			return text;
	}
}
