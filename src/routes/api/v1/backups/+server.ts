import { backupState } from '$lib/server/backup/state';
import { serverContext } from '$lib/server/running/context';
import { show } from '$lib/server/http/respond';

export const GET = show(() => backupState(serverContext().config));
