import { putBackupSlice } from '$lib/server/backup/arriving';
import { backupDirectory } from '$lib/server/backup/backup-file';
import { serverContext } from '$lib/server/running/context';
import { pathId, pathSlice } from '$lib/server/http/path-id';
import { keepBytes } from '$lib/server/http/respond';

export const PUT = keepBytes((event, _, bytes) =>
	putBackupSlice(backupDirectory(serverContext().config), pathId(event), pathSlice(event), bytes)
);
