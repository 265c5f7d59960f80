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

type Asked = { table: RecordTable; columns: ReturnType<typeof columnsOf>; schema: z.ZodType };
const asked = new Map<string, Asked>();

/** What rows of a table are asked by: found once, for a page asks it of thousands. */
function askedOf(name: string): Asked {
	const known = asked.get(name);
	if (known) return known;
	const table = recordTable(name) as RecordTable;
	const columns = columnsOf(table.table);
	const made = { table, columns, schema: rowSchema(table, columns) };
	asked.set(name, made);
	return made;
}

const looked = new Map<string, boolean>();
const MOST_LOOKED = 5000;

/** Whether a row of the database is one that a form or a file would have brought: the same schema, asked on the way out. */
export function isValidRow(name: string, row: Record<string, unknown>): boolean {
	const { table, columns, schema } = askedOf(name);
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
