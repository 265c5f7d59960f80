import { photoQuery, photoSizeQuery } from '$lib/schemas/photo';
import { read } from '$lib/schemas/read';
import { pathId } from '$lib/server/http/path-id';
import { keepFile, LIMITS, showBytes } from '$lib/server/http/respond';
import { photoFile, putPhoto } from '$lib/server/stations/photos/photos';
import { refuse } from '$lib/server/base/problem';

export const PUT = keepFile(LIMITS.photo, async (event, db, bytes, now) => {
	const query = read(photoQuery, { id: pathId(event), ...Object.fromEntries(event.url.searchParams) });
	if (!query.ok) throw refuse(query.errors);
	return await putPhoto(db, query.value, bytes, now);
});

export const GET = showBytes(async (event, db) => {
	const query = read(photoSizeQuery, Object.fromEntries(event.url.searchParams));
	if (!query.ok) throw refuse(query.errors);
	return await photoFile(db, pathId(event), query.value.size);
});
