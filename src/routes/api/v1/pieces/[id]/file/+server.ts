import { pieceFileQuery } from '$lib/schemas/piece';
import { read } from '$lib/schemas/read';
import { showBytes } from '$lib/server/http/respond';
import { pieceFile } from '$lib/server/pieces/file';
import { refuse } from '$lib/server/problem';

export const GET = showBytes(async ({ params, url }, db) => {
	const query = read(pieceFileQuery, Object.fromEntries(url.searchParams));
	if (!query.ok) throw refuse(query.errors);
	return await pieceFile(db, params.id ?? '', query.value);
});
