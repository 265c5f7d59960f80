import { getTableColumns } from 'drizzle-orm';
import { getTableConfig, type MySqlTable } from 'drizzle-orm/mysql-core';

const found = new Map<MySqlTable, ReadonlyMap<string, MySqlTable>>();

/** Which table each column points into: the foreign keys of the schema, by the names the columns have on our side. */
export function referencesOf(table: MySqlTable): ReadonlyMap<string, MySqlTable> {
	const before = found.get(table);
	if (before) return before;
	const names = new Map(Object.entries(getTableColumns(table)).map(([name, column]) => [column.name, name]));
	const references = new Map(
		getTableConfig(table).foreignKeys.flatMap((key) => {
			const { columns, foreignTable } = key.reference();
			return columns.map((column): [string, MySqlTable] => [names.get(column.name) ?? column.name, foreignTable]);
		})
	);
	found.set(table, references);
	return references;
}
