import { backupState } from '$lib/server/backup/state';
import { serverContext } from '$lib/server/running/context';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('draught:backups');
	return await backupState(serverContext().config);
};
