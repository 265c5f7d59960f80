import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { database } from '$lib/server/running/context';
import { loadHandbook } from '$lib/server/record/handbook/handbook';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({
	materials: await loadHandbook(database()),
	/** Materials Draught came with: their first figures can be taken back. */
	first: HANDBOOK.map((m) => m.material)
});
