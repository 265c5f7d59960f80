import { database } from '$lib/server/running/context';
import { describeTables } from '$lib/server/exchange/csv-tables';
import { listTrials } from '$lib/server/answers/trials/load';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ tables: describeTables(), trials: await listTrials(database()) });
