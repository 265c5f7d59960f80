import type { Connection, RowDataPacket } from 'mysql2/promise';

/** Rows of a table that point at something that is not there. */
export type DanglingRows = { table: string; column: string; into: string; rows: number };

/**
 * Looks for rows that point nowhere, over every foreign key the database has. Keys are put in without looking at the rows that are
 * there, so that an old fault never blocks a start; it is told instead.
 */
export async function danglingRows(connection: Connection, database: string): Promise<DanglingRows[]> {
	const [keys] = await connection.query<RowDataPacket[]>(
		`SELECT table_name AS t, column_name AS c, referenced_table_name AS into_t, referenced_column_name AS into_c
			FROM information_schema.key_column_usage
			WHERE table_schema = ? AND referenced_table_name IS NOT NULL ORDER BY t, c`,
		[database]
	);
	const found: DanglingRows[] = [];
	for (const key of keys) {
		const [[counted]] = await connection.query<RowDataPacket[]>(
			'SELECT COUNT(*) AS n FROM ??.?? AS a LEFT JOIN ??.?? AS b ON b.?? = a.?? WHERE a.?? IS NOT NULL AND b.?? IS NULL',
			[database, key.t, database, key.into_t, key.into_c, key.c, key.c, key.into_c]
		);
		const rows = Number(counted?.n);
		if (rows > 0) found.push({ table: String(key.t), column: String(key.c), into: String(key.into_t), rows });
	}
	return found;
}

/** One line for each kind of row that points nowhere, for whoever starts the program. */
export const sayDangling = (found: readonly DanglingRows[]): string[] =>
	found.map(
		({ table, column, into, rows }) =>
			`in ${table}, ${rows} ${rows === 1 ? 'row points' : 'rows point'} at nothing in ${into} (${column}); left as found`
	);
