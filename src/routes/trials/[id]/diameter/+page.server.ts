import { share } from '$lib/schemas/shared-text';
import { diameterProgress, firstUnmeasured } from '$lib/core/stations/diameter/progress';
import { database } from '$lib/server/running/context';
import { lightEvidence, onlyStation } from '$lib/server/answers/findings/only';
import { foundBy } from '$lib/server/answers/findings/stations';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

/** A spool may have thousands of readings: those of the one that is opened come along, the page fetches the others by itself. */
export const load: PageServerLoad = async (event) => {
	const [whole, workshop] = await Promise.all([trialOfRequest(event), listWorkshop(database())]);
	const { spools, basis } = whole;
	const progress = spools.map(diameterProgress);
	const first = firstUnmeasured(progress, basis.diameterPlaces * basis.diameterDirections);
	// Another spool is chosen without asking the server again.
	const asked = event.untrack(() => event.url.searchParams.get('spool'));
	const open = spools.find((e) => e.spool.id === asked) ?? spools[first ?? 0];
	return {
		evidence: spools.map((e) => (e === open ? onlyStation(e, 'diameter') : lightEvidence(e, 'diameter'))),
		opened: open?.spool.id ?? null,
		/** What was found of the one that is opened, so that it stands in the page. */
		found: share(open ? foundBy('diameter', open, basis) : []),
		progress,
		instruments: workshop.instruments
	};
};
