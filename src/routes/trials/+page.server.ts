import { database } from '$lib/server/context';
import { listTrials } from '$lib/server/trials/load';

export const load = async () => ({ trials: await listTrials(database()) });
