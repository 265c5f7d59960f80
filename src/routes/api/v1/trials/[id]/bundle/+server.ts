import { exportBundle } from '$lib/server/exchange/bundle';
import { pathId } from '$lib/server/http/path-id';
import { showFile } from '$lib/server/http/respond';

export const GET = showFile(async (event, db, now) => {
	const id = pathId(event);
	return { text: JSON.stringify(await exportBundle(db, id, now)), mediaType: 'application/json', name: `draught-trial-${id}.json` };
});
