import { database } from '$lib/server/context';
import { listWorkshop } from '$lib/server/workshop/workshop';

export const load = async () => await listWorkshop(database());
