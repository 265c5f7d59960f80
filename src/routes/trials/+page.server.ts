import { database } from '$lib/server/context';
import { pickOf } from '$lib/server/trials/findings';
import { listTrials, loadTrial, ofReadable } from '$lib/server/trials/load';
import { nextStep } from '$lib/server/trials/next-step';
import { pickSentence } from '$lib/ui/pick/pick-sentence';
import { stationHref } from '$lib/ui/sheet/station-href';
import type { PageServerLoad } from './$types';

/** Of so many it is said where they stand: one looks for the trial one works at. */
const STANDING = 6;

export const load: PageServerLoad = async () => {
	const trials = await listTrials(database());
	const shown = trials.filter((t) => !t.archived).slice(0, STANDING);
	const standing = await Promise.all(shown.map(async ({ id }) => [id, await ofReadable(() => standingOf(id))] as const));
	return { trials, standing: Object.fromEntries(standing) };
};

/** What is done next in a trial, and whom it would pick today. */
async function standingOf(trialId: string): Promise<{ next: { words: string; href: string } | null; pick: string | null }> {
	const now = Date.now();
	const whole = await loadTrial(database(), trialId);
	const next = nextStep(whole, now);
	const { rows, rule, chances } = pickOf(whole, now, 'first');
	return {
		next: next && { words: next.words, href: stationHref(trialId, next.station, next.spoolId) },
		// One spool has no rank.
		pick: rows.length > 1 ? pickSentence(rows, chances, rule, whole.head.currency) : null
	};
}
