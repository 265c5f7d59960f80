import { database } from '$lib/server/running/context';
import { listTrainings } from '$lib/server/stations/workshop/trainings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ trainings: await listTrainings(database()) });
