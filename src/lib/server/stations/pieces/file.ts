import { eq } from 'drizzle-orm';
import { pieceKind } from '$lib/core/judging/pieces/library/library';
import { solidOf } from '$lib/core/judging/pieces/files/solid';
import { stlOf } from '$lib/core/judging/pieces/files/stl';
import { threeMfOf } from '$lib/core/judging/pieces/files/three-mf';
import type { Reader } from '../../base/db/client';
import { piece } from '../../base/db/schema';
import { isValidRow } from '../../record/rows/row-schema';
import { notFound, problem } from '../../base/problem';
import { geometryEngine } from './engine';

export type PieceFile = { bytes: Uint8Array<ArrayBuffer>; mediaType: string; name: string };

/** A registered piece as a file to print, with a bench code on it if wanted. */
export async function pieceFile(db: Reader, pieceId: string, given: { format: 'stl' | '3mf'; code: string }): Promise<PieceFile> {
	const [row] = await db.select().from(piece).where(eq(piece.id, pieceId));
	if (!row) throw notFound('piece');
	if (!isValidRow('pieces', row)) throw problem(422, 'damagedPiece');
	const kind = row.kind === null ? null : pieceKind(row.kind);
	if (!kind || !row.params) throw problem(404, 'ownModel');
	const { mesh } = solidOf(await geometryEngine(), kind.shape(row.params, given.code));
	const title = [row.name, row.version, given.code].filter((part) => part !== '').join(' ');
	const name = `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${given.format}`;
	return given.format === 'stl'
		? { bytes: stlOf(mesh), mediaType: 'model/stl', name }
		: { bytes: threeMfOf(mesh, title), mediaType: 'model/3mf', name };
}
