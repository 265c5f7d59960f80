import { database } from '$lib/server/running/context';
import { listTrials } from '$lib/server/answers/trials/load';
import { toldAct } from '$lib/server/answers/trials/next-step';
import { atWork, standingsOf, type Standing } from '$lib/server/answers/trials/standing';
import { pickSentence } from '$lib/words/pick-sentence';
import { stationHref } from '$lib/ui/sheet/station-href';
import type { PageServerLoad } from './$types';

/** So long the page works out what is not kept, ms. */
const PATIENCE_MS = 600;

export const load: PageServerLoad = async () => {
	const db = database();
	const trials = await listTrials(db);
	const ids = atWork(trials).map((t) => t.id);
	const standings = await standingsOf(db, ids, PATIENCE_MS);
	return { trials, standing: Object.fromEntries([...standings].map(([id, standing]) => [id, inWords(id, standing)])) };
};

/** Where a trial stands in the words, numbers and units of who looks; null where its rules or weights cannot be read. */
function inWords(trialId: string, standing: Standing) {
	if (standing === null) return null;
	const next = standing.next && toldAct(standing.next);
	const { pick } = standing;
	return {
		next: next && { words: next.words, href: stationHref(trialId, next.station, next.spoolId) },
		pick: pick && pickSentence(pick.rows, pick.chances, pick.rule, pick.currency)
	};
}
