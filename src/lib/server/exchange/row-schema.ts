import { z } from 'zod';
import { read } from '$lib/schemas/read';
import { checkRow } from './check-row';
import { columnsOf, columnSchema, toWire } from './column';
import type { RecordTable } from './tables';
import { recordTable } from './tables';

/** The schema of a row: every column by its kind and the table's rules; nothing else. */
export function rowSchema(table: RecordTable, columns = columnsOf(table.table)) {
	return z.strictObject(Object.fromEntries(columns.map((c) => [c.name, columnSchema(c, table.rules?.[c.name])])));
}

const schemas = new Map<string, z.ZodType>();

const looked = new Map<string, boolean>();
const MOST_LOOKED = 5000;

/** Whether a row of the database is one that a form or a file would have brought: the same schema, asked on the way out. */
export function isValidRow(name: string, row: Record<string, unknown>): boolean {
	const table = recordTable(name) as RecordTable;
	const columns = columnsOf(table.table);
	const schema = schemas.get(name) ?? rowSchema(table, columns);
	schemas.set(name, schema);
	const wire = toWire(columns, row);
	// Rows do not change, but a row put in by hand may: what was looked at before is told by all of its content.
	const text = JSON.stringify(wire);
	const key = `${name} ${text}`;
	const before = looked.get(key);
	if (before !== undefined) return before;
	const sound = read(schema, wire).ok && checkRow(table, wire, '').length === 0;
	if (looked.size >= MOST_LOOKED) looked.delete(looked.keys().next().value ?? '');
	looked.set(key, sound);
	return sound;
}
