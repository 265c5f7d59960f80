import { carriedOn } from '../../../record/marks/carries';
import type { Piece } from '../../../record/evidence/piece';
import { markEntries } from '../../../record/marks/mark-entries';

/**
 * For each quantity that is read off a piece the pieces it is compared on: of the chosen pieces the first that carries its mark, then the
 * other versions of that piece, the newest first. A mark that no chosen piece carries is compared on none.
 * @param chosen ids of the pieces a trial prints, in order
 * @example markPieces(['ladder-2'], pieces).overhang // ['ladder-2', 'ladder-1']
 */
export function markPieces(chosen: readonly string[], pieces: readonly Piece[]): Record<string, string[]> {
	const known = chosen.flatMap((id) => pieces.filter((p) => p.id === id));
	return Object.fromEntries(
		markEntries().flatMap(({ quantity, carriedBy }) => {
			const carries = (p: Piece) => carriedOn(p, carriedBy) !== null;
			const counts = known.find(carries);
			if (!counts) return [];
			const others = pieces
				.filter((p) => p.familyId === counts.familyId && p.id !== counts.id && carries(p))
				.sort((a, b) => b.version - a.version);
			return [[quantity, [counts.id, ...others.map((p) => p.id)]]];
		})
	);
}
