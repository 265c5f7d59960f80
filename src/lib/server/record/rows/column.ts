import { saying } from '$lib/schemas/field-error';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import { getTableColumns } from 'drizzle-orm';
import { z } from 'zod';
import { instant, zone } from '$lib/schemas/common';

/** What a column holds, as far as a file has to know. */
type ColumnKind = 'id' | 'text' | 'number' | 'whole' | 'yesNo' | 'moment' | 'json' | 'bytes';

export type Column = {
	name: string;
	kind: ColumnKind;
	required: boolean;
	length: number | null;
	/** The words of a closed list; null where any text may stand. */
	words: readonly string[] | null;
	column: MySqlColumn;
};

/** Counters that follow from the record, and the order in which this bench wrote it, are not part of what is exchanged. */
const LEFT_OUT = new Set(['revision', 'seq']);

const KINDS: Record<string, ColumnKind> = {
	'binary(16)': 'id',
	bigint: 'moment',
	double: 'number',
	int: 'whole',
	boolean: 'yesNo',
	mediumblob: 'bytes'
};

/** The columns of a table that go out and come in, in the table's order. `longtext` is always JSON here, see db/columns. */
export function columnsOf(table: MySqlTable): Column[] {
	return Object.entries(getTableColumns(table)).flatMap(([name, column]): Column[] => {
		if (LEFT_OUT.has(name)) return [];
		const type = column.getSQLType();
		const length = /^varchar\((\d+)\)$/.exec(type)?.[1];
		const kind = KINDS[type] ?? (length ? 'text' : 'json');
		return [
			{
				name,
				kind,
				required: column.notNull && !column.hasDefault,
				length: length ? Number(length) : null,
				words: column.enumValues ?? null,
				column
			}
		];
	});
}

/** Any UUID: the piece every database starts with has one of its own making. */
const anyId = z.uuid({ error: saying('notAUuid') });

/** One word of a closed list. */
export const oneWordOf = (allowed: readonly string[]) =>
	z.enum(allowed as [string, ...string[]], { error: saying('oneOf', { allowed: allowed.join(', ') }) });

const KIND_SCHEMAS: Record<ColumnKind, (column: Column) => z.ZodType> = {
	id: () => anyId,
	text: (c) => {
		if (c.name === 'zone') return zone;
		if (c.words) return oneWordOf(c.words);
		return z.string().max(c.length ?? 120, { error: saying('tooLong', { most: c.length ?? 120 }) });
	},
	number: () => z.number({ error: saying('notANumber') }),
	whole: () => z.int({ error: saying('notWhole') }),
	yesNo: () => z.boolean({ error: saying('wrongKind', { kind: 'boolean' }) }),
	moment: () => instant,
	json: () => z.unknown(),
	bytes: () => z.base64({ error: saying('wrongFormat', { format: 'base64' }) })
};

/** The schema of one cell or JSON value; a rule of the table replaces the plain one. */
export function columnSchema(column: Column, rule: z.ZodType | undefined): z.ZodType {
	const plain = rule ?? KIND_SCHEMAS[column.kind](column);
	return column.required ? plain : plain.nullable().default(null);
}

/** A row of the database as JSON: moments become ISO instants, bytes base64. */
export function toWire(columns: readonly Column[], row: Record<string, unknown>): Record<string, unknown> {
	return Object.fromEntries(
		columns.map(({ name, kind }) => {
			const value = row[name] ?? null;
			if (value === null) return [name, null];
			if (kind === 'moment') return [name, new Date(value as number).toISOString()];
			return [name, kind === 'bytes' ? (value as Buffer).toString('base64') : value];
		})
	);
}

/** A checked JSON row as the database takes it. */
export function fromWire(columns: readonly Column[], row: Record<string, unknown>): Record<string, unknown> {
	return Object.fromEntries(
		columns.flatMap(({ name, kind, column }): [string, unknown][] => {
			const value = row[name] ?? null;
			// Left empty, a column that cannot be empty takes its default.
			if (value === null && column.notNull) return [];
			if (value === null) return [[name, null]];
			if (kind === 'moment') return [[name, Date.parse(value as string)]];
			return [[name, kind === 'bytes' ? Buffer.from(value as string, 'base64') : value]];
		})
	);
}
