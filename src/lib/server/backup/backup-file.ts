import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Config } from '../config';

/** Where a dump made now goes: the backup directory of the instance, compressed and named by what it is and when. */
export function backupFile(config: Pick<Config, 'DRAUGHT_BACKUP_DIR' | 'DRAUGHT_INSTANCE'>, what: string, now: number): string {
	const stamp = new Date(now).toISOString().replace(/[:.]/g, '-');
	return join(config.DRAUGHT_BACKUP_DIR ?? join(tmpdir(), 'draught-backups'), `draught-${config.DRAUGHT_INSTANCE}-${what}-${stamp}.sql.gz`);
}
