import { error } from '@sveltejs/kit';
import { STATIONS } from '$lib/core/joins/registry';
import { database } from '$lib/server/running/context';
import { pageId } from '$lib/server/http/path-id';
import { Problem } from '$lib/server/base/problem';
import { loadPhotos } from '$lib/server/stations/photos/photos';
import { loadSpool } from '$lib/server/answers/spools/load';
import { loadPrinters } from '$lib/server/record/instruments/printers';
import { currentHouseSpool } from '$lib/server/answers/trials/house';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const db = database();
	try {
		const [whole, house, photos, printers] = await Promise.all([
			loadSpool(db, pageId(event), Date.now()),
			currentHouseSpool(db),
			loadPhotos(db, [pageId(event)]),
			loadPrinters(db)
		]);
		// Definitions travel with the page so that own measures carry their names.
		const defs = STATIONS.flatMap((s) => s.quantities(whole.basis));
		return { ...whole, photos, printers: printers.map(({ id, name }) => ({ id, name })), defs, isHouse: house === whole.evidence.spool.id };
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.title);
		throw cause;
	}
};
