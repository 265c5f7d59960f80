import { pieceFileQuery } from '$lib/schemas/piece';
import { read } from '$lib/schemas/read';
import { pathId } from '$lib/server/http/path-id';
import { showBytes } from '$lib/server/http/respond';
import { pieceFile } from '$lib/server/stations/pieces/file';
import { refuse } from '$lib/server/base/problem';

export const GET = showBytes(async (event, db) => {
	const query = read(pieceFileQuery, Object.fromEntries(event.url.searchParams));
	if (!query.ok) throw refuse(query.errors);
	return await pieceFile(db, pathId(event), query.value);
});
