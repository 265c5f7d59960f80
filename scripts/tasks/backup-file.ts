import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Config } from '../../src/lib/server/config';

/** Where a dump made now goes: the backup directory of the instance, named by what it is and when. */
export function backupFile(config: Config, what: string): string {
	const stamp = new Date().toISOString().replace(/[:.]/g, '-');
	return join(config.DRAUGHT_BACKUP_DIR ?? join(tmpdir(), 'draught-backups'), `draught-${config.DRAUGHT_INSTANCE}-${what}-${stamp}.sql`);
}
