import { database } from '$lib/server/running/context';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => await listWorkshop(database());
