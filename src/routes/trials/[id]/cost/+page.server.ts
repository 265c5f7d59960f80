import { onlyStation } from '$lib/server/answers/findings/only';
import { loadFilamentIds } from '$lib/server/record/makers/filaments';
import { database } from '$lib/server/running/context';
import { countedQuote } from '$lib/core/stations/cost/counted-quote';
import { costPerGoodKg } from '$lib/core/stations/cost/quantities';
import { costStation } from '$lib/core/stations/cost/station';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const filamentIds = await loadFilamentIds(
		database(),
		whole.spools.map((s) => s.spool.id)
	);
	return {
		def: costPerGoodKg(whole.basis),
		costs: whole.spools.map((e) => ({
			spool: e.spool,
			filamentId: filamentIds[e.spool.id] ?? '',
			hidden: e.pricesHidden,
			quotes: onlyStation(e, 'cost').quotes,
			counts: countedQuote(e, whole.basis)?.id ?? null,
			findings: costStation.find(e, whole.basis)
		}))
	};
};
