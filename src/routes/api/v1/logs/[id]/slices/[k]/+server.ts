import { putSlice } from '$lib/server/diameter/arrive';
import { pathId } from '$lib/server/http/path-id';
import { keepBytes } from '$lib/server/http/respond';
import { notFound } from '$lib/server/problem';

export const PUT = keepBytes((event, db, bytes) => {
	const { k = '' } = event.params as { k?: string };
	const position = /^\d{1,4}$/.test(k) ? Number(k) : null;
	if (position === null) throw notFound('slice');
	return putSlice(db, pathId(event), position, bytes);
});
