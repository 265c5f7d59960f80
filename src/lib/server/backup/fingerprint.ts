import type { Connection, RowDataPacket } from 'mysql2/promise';

/** Every table of a database with the sum of its contents and its number of rows. */
export type Fingerprint = Map<string, { sum: string; rows: number }>;

export async function tablesOf(connection: Connection, database: string): Promise<string[]> {
	const [rows] = await connection.query<RowDataPacket[]>(
		'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? ORDER BY name',
		[database]
	);
	return rows.map((row) => String(row.name));
}

export async function fingerprint(connection: Connection, database: string): Promise<Fingerprint> {
	const found: Fingerprint = new Map();
	for (const name of await tablesOf(connection, database)) {
		const [[sum]] = await connection.query<RowDataPacket[]>('CHECKSUM TABLE ??.??', [database, name]);
		const [[counted]] = await connection.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM ??.??', [database, name]);
		found.set(name, { sum: String(sum?.Checksum), rows: Number(counted?.n) });
	}
	return found;
}

/**
 * What became of a record between two looks: nothing, something was added to it (somebody went on writing), or something is gone.
 * @example change(new Map(), new Map()) // 'none'
 */
export function change(before: Fingerprint, after: Fingerprint): 'none' | 'written' | 'lost' {
	const names = [...before.keys()];
	if (names.length === after.size && names.every((n) => after.get(n)?.sum === before.get(n)?.sum)) return 'none';
	// Rows of the record are never taken away, and every write leaves one in its log.
	const kept = names.every((n) => (after.get(n)?.rows ?? -1) >= (before.get(n)?.rows ?? 0));
	const wrote = (after.get('write_log')?.rows ?? 0) > (before.get('write_log')?.rows ?? 0);
	return kept && wrote && names.length === after.size ? 'written' : 'lost';
}
