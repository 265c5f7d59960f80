import { backupDirectory } from '$lib/server/backup/backup-file';
import { readRestoreStatus } from '$lib/server/backup/restore-status';
import { serverContext } from '$lib/server/running/context';
import { pathId } from '$lib/server/http/path-id';
import { show } from '$lib/server/http/respond';
import { notFound } from '$lib/server/base/problem';

export const GET = show(async (event) => {
	const status = await readRestoreStatus(backupDirectory(serverContext().config));
	if (status?.id !== pathId(event)) throw notFound('restore');
	return status;
});
