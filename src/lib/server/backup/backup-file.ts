import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Config } from '../base/config';

type Where = Pick<Config, 'DRAUGHT_BACKUP_DIR' | 'DRAUGHT_INSTANCE'>;

/** Where the backups of an instance lie. */
export const backupDirectory = (config: Where): string => config.DRAUGHT_BACKUP_DIR ?? join(tmpdir(), 'draught-backups');

/** Why a backup was made: asked for, by the clock, or before something that changes much. */
export type BackupKind = 'backup' | 'daily' | 'before-restore' | 'before-migration' | 'before-reset';

/** The name of a backup: which instance it is of, why it was made and when. */
export function backupName(config: Where, kind: BackupKind, at: number): string {
	const stamp = new Date(at).toISOString().replace(/[:.]/g, '-');
	return `draught-${config.DRAUGHT_INSTANCE}-${kind}-${stamp}.sql.gz`;
}

/** Where a backup made now goes: the backup directory of the instance. */
export const backupFile = (config: Where, kind: BackupKind, now: number): string =>
	join(backupDirectory(config), backupName(config, kind, now));

/** What the name of a backup says; null where it is the name of something else. */
export function readBackupName(name: string): { kind: BackupKind; at: number } | null {
	const [, kind, date, h, m, s, ms] =
		/^draught-[a-z0-9-]+?-(backup|daily|before-restore|before-migration|before-reset)-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z(?:-[0-9a-f]{8})?\.sql(?:\.gz)?$/.exec(
			name
		) ?? [];
	if (kind === undefined) return null;
	const at = Date.parse(`${date}T${h}:${m}:${s}.${ms}Z`);
	return Number.isNaN(at) ? null : { kind: kind as BackupKind, at };
}
