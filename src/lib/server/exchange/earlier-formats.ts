/**
 * What files of earlier versions hold under names that are gone. Such files still come in: a column that nothing ever wrote goes when
 * it is empty. One that says something all the same is left where it is, and the row's schema refuses it by name.
 */

type Row = Record<string, unknown>;

/** Tables and columns that no version wrote and no finding read. */
const GONE_TABLES: readonly string[] = ['testers', 'places'];
const GONE_COLUMNS = new Map<string, readonly string[]>([
	['events', ['placeId', 'endedAt']],
	['readings', ['eventId']]
]);

const isEmpty = (value: unknown): boolean => value === null || value === undefined || value === '';

/** The names of columns that a table of an earlier version had and this one does not. */
export const goneColumns = (table: string): readonly string[] => GONE_COLUMNS.get(table) ?? [];

/**
 * The tables of a bundle by the names of today.
 * @example tablesOfToday({ testers: [], events: [{ id, kind: 'opened', placeId: null }] }) // { events: [{ id, kind: 'opened' }] }
 */
export function tablesOfToday(tables: Record<string, Row[]>): Record<string, Row[]> {
	const here = Object.entries(tables).filter(([name, rows]) => !(GONE_TABLES.includes(name) && rows.length === 0));
	return Object.fromEntries(here.map(([name, rows]) => [name, rows.map((row) => withoutEmpty(row, goneColumns(name)))]));
}

function withoutEmpty(row: Row, gone: readonly string[]): Row {
	if (!gone.some((name) => name in row)) return row;
	return Object.fromEntries(Object.entries(row).filter(([name, value]) => !(gone.includes(name) && isEmpty(value))));
}
