import type { Params, PieceKind } from './types';

/**
 * The usual sizes of a piece.
 * @example usualParams(flatTile).thick // 2
 */
export function usualParams(kind: Pick<PieceKind, 'params'>): Params {
	return Object.fromEntries(kind.params.map((p) => [p.id, p.usual]));
}
