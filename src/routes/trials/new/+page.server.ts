import { error } from '@sveltejs/kit';
import { database } from '$lib/server/running/context';
import { listTrials, loadTrial, ofReadable } from '$lib/server/answers/trials/load';
import { problemWords } from '$lib/words/problems';
import type { PageServerLoad } from './$types';

/** `like`: the trial whose rules the new one takes over. */
export const load: PageServerLoad = async ({ url }) => {
	const likeId = url.searchParams.get('like');
	const trials = await listTrials(database());
	if (likeId === null) return { like: null, isFirst: trials.length === 0 };
	const like = trials.find((t) => t.id === likeId);
	if (!like) error(404, 'There is no such trial.');
	const { id, name, preset, currency } = like;
	const whole = await ofReadable(() => loadTrial(database(), id));
	if (!whole) error(422, problemWords({ code: 'damagedTrial', params: {} }));
	const { conditionPolicy } = whole.basis;
	return { isFirst: false, like: { id, name, preset, currency, conditionPolicy } };
};
