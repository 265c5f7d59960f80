import { database } from '$lib/server/context';
import { listTrials } from '$lib/server/trials/load';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ trials: await listTrials(database()) });
