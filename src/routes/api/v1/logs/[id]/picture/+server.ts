import { pictureQuery } from '$lib/schemas/gauge-log';
import { read } from '$lib/schemas/read';
import { logPicture } from '$lib/server/record/logs/logs';
import { pathId } from '$lib/server/http/path-id';
import { show } from '$lib/server/http/respond';
import { refuse } from '$lib/server/base/problem';

export const GET = show((event, db) => {
	const asked = read(pictureQuery, Object.fromEntries(event.url.searchParams));
	if (!asked.ok) throw refuse(asked.errors);
	return logPicture(db, pathId(event), asked.value);
});
