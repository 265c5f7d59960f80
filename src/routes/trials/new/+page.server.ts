import { error } from '@sveltejs/kit';
import { database } from '$lib/server/context';
import { listTrials, loadTrial } from '$lib/server/trials/load';
import type { PageServerLoad } from './$types';

/** `like`: the trial whose rules the new one takes over. */
export const load: PageServerLoad = async ({ url }) => {
	const likeId = url.searchParams.get('like');
	if (likeId === null) return { like: null };
	const like = (await listTrials(database())).find((t) => t.id === likeId);
	if (!like) error(404, 'There is no such trial.');
	const { id, name, preset, currency } = like;
	const { conditionPolicy } = (await loadTrial(database(), id)).basis;
	return { like: { id, name, preset, currency, conditionPolicy } };
};
