import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { dump, load } from './dump';
import { migrate } from './migrate';

/**
 * Replaces a database by a backup: loads it beside the present one, brings it up to date, and only then swaps the two.
 * What was there before is dumped to `keepFile` first. A backup that does not load leaves everything as it was.
 */
export async function restore(databaseUrl: string, file: string, keepFile: string): Promise<void> {
	const url = new URL(databaseUrl);
	const database = url.pathname.slice(1);
	const staging = `${database}_restoring`;
	const stagingUrl = new URL(databaseUrl);
	stagingUrl.pathname = `/${staging}`;
	url.pathname = '/';
	const connection = await createConnection({ uri: url.href, charset: 'utf8mb4' });
	try {
		await connection.query(`DROP DATABASE IF EXISTS \`${staging}\``);
		await connection.query(`CREATE DATABASE \`${staging}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
		await load(stagingUrl.href, file);
		const [kept] = await connection.query<RowDataPacket[]>(
			'SELECT 1 FROM information_schema.tables WHERE table_schema = ? AND table_name = ?',
			[staging, 'write_log']
		);
		if (kept.length === 0) throw new Error('this file is no backup of Draught; nothing was changed');
		await migrate(stagingUrl.href);
		await dump(databaseUrl, keepFile);
		await connection.query(`DROP DATABASE \`${database}\``);
		await connection.query(`CREATE DATABASE \`${database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
		const [tables] = await connection.query<RowDataPacket[]>(
			'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ?',
			[staging]
		);
		const moves = tables.map((t) => `\`${staging}\`.\`${t.name}\` TO \`${database}\`.\`${t.name}\``);
		await connection.query(`RENAME TABLE ${moves.join(', ')}`);
		await connection.query(`DROP DATABASE \`${staging}\``);
	} finally {
		await connection.end();
	}
}
