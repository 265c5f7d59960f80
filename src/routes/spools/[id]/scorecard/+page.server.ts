import { error } from '@sveltejs/kit';
import { heldAtLeast } from '$lib/core/stations/strength/held';
import { database } from '$lib/server/running/context';
import { addressCode } from '$lib/server/http/address-code';
import { pageId } from '$lib/server/http/path-id';
import { loadPhotos } from '$lib/server/stations/photos/photos';
import { Problem } from '$lib/server/base/problem';
import { loadScorecard } from '$lib/server/answers/spools/scorecard';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const db = database();
	const spoolId = pageId(event);
	try {
		const [card, photos, address] = await Promise.all([
			loadScorecard(db, spoolId, Date.now()),
			loadPhotos(db, [spoolId]),
			addressCode(event.url)
		]);
		const { whole, ...beside } = card;
		const { evidence, findings, basis, verdicts } = whole;
		return {
			...beside,
			spool: evidence.spool,
			quote: evidence.quotes[0] ?? null,
			attempts: evidence.attempts,
			history: { events: evidence.events, dryForH: evidence.dryForH },
			pieces: evidence.pieces.map(({ id, name, version }) => ({ id, name, version })),
			instruments: evidence.instruments,
			readings: evidence.readings.map(({ instrumentId, scorer, status }) => ({ instrumentId, scorer, status })),
			strand: findings.find((f) => f.figure.kind === 'strand' && f.n > 0) ?? null,
			// Where nothing broke there is no strength to compare, but what was held is known.
			held: findings.flatMap(({ quantity, subject, n, estimate, figure }) => {
				const leastN = heldAtLeast({ estimate, figure });
				return leastN === null ? [] : [{ quantity, kind: subject.variant ?? '', n, leastN }];
			}),
			places: basis.diameterPlaces,
			currency: basis.currency ?? '',
			verdict: verdicts[0] ?? null,
			photos,
			addressCode: address,
			today: Date.now()
		};
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.title);
		throw cause;
	}
};
