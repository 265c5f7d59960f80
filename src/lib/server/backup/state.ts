import type { Config } from '../base/config';
import { backupDirectory } from './backup-file';
import { keptBackups, lastDownload } from './kept';
import { readRestoreStatus } from './restore-status';

/** What there is to say of backups: those kept here, when one was last taken away, and what became of the last restore from a page. */
export async function backupState(config: Config) {
	const directory = backupDirectory(config);
	const [kept, downloadedAt, restore] = await Promise.all([keptBackups(directory), lastDownload(directory), readRestoreStatus(directory)]);
	return { directory, kept, downloadedAt, restore, daily: config.DRAUGHT_BACKUP_MINUTES > 0 };
}
