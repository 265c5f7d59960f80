import { pieceBody } from '$lib/schemas/piece';
import { keep, show } from '$lib/server/http/respond';
import { loadPieces } from '$lib/server/record/pieces/load';
import { postPiece } from '$lib/server/stations/pieces/post';

export const POST = keep(pieceBody, postPiece);
export const GET = show((_, db) => loadPieces(db));
