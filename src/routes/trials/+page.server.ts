import { database } from '$lib/server/context';
import { giveWay } from '$lib/server/evidence/stations';
import { pickOf } from '$lib/server/trials/findings';
import { keepListing, keptListings } from '$lib/server/trials/kept-listings';
import { listTrials, loadTrial, ofReadable } from '$lib/server/trials/load';
import { nextStep } from '$lib/server/trials/next-step';
import { trialStamps } from '$lib/server/trials/stamps';
import { pickSentence } from '$lib/ui/pick/pick-sentence';
import { stationHref } from '$lib/ui/sheet/station-href';
import { locale } from '$lib/ui/words/locale';
import { unitsKey } from '$lib/ui/words/units';
import type { PageServerLoad } from './$types';

/** Of so many it is said where they stand: one looks for the trial one works at. */
const STANDING = 6;

/** So long the page works out what is not kept, ms. */
const PATIENCE_MS = 600;

/** What is done next in a trial, and whom it would pick today; null where its rules or weights cannot be read. */
type Standing = { next: { words: string; href: string } | null; pick: string | null } | null;
/** The same in the words of each language and unit that was asked for. */
type Kept = Record<string, Standing>;

export const load: PageServerLoad = async () => {
	const db = database();
	const now = Date.now();
	const trials = await listTrials(db);
	const shown = trials.filter((t) => !t.archived).slice(0, STANDING);
	const stamps = await trialStamps(db, now);
	const ofShown = new Map(shown.map(({ id }) => [id, stamps.get(id) ?? '']));
	const kept = await keptListings<Kept>(db, 'trial', ofShown);
	const words = `${locale()} ${unitsKey()}`;
	const standing: Record<string, Standing> = {};
	// One after the other: side by side they would only wait for one another.
	const began = performance.now();
	for (const [id, stamp] of ofShown) {
		// What is not worked out now is when the page is looked at again.
		if (!(words in (kept.get(id) ?? {})) && performance.now() - began > PATIENCE_MS) continue;
		const known = kept.get(id) ?? {};
		standing[id] = words in known ? (known[words] ?? null) : await ofReadable(() => standingOf(id, now));
		if (!(words in known)) await keepListing(db, 'trial', id, stamp, { ...known, [words]: standing[id] });
	}
	return { trials, standing };
};

async function standingOf(trialId: string, now: number): Promise<Standing> {
	const whole = await loadTrial(database(), trialId);
	await giveWay(whole.spools, whole.basis, now);
	const next = nextStep(whole, now);
	const { rows, rule, chances } = pickOf(whole, now, 'first');
	return {
		next: next && { words: next.words, href: stationHref(trialId, next.station, next.spoolId) },
		// One spool has no rank.
		pick: rows.length > 1 ? pickSentence(rows, chances, rule, whole.head.currency) : null
	};
}
