/** What every print of any piece can tell. */
export const ANY_PIECE = 'print';

/**
 * What a piece carries for a mark, with its steps; null where it does not carry it.
 * @example carriedOn({ marks: [{ mark: 'strings', steps: null }] }, 'strings') // { steps: null }
 */
export function carriedOn(
	piece: { marks: readonly { mark: string; steps: number[] | null }[] },
	carriedBy: string
): { steps: number[] | null } | null {
	const carried = piece.marks.find((m) => m.mark === carriedBy);
	return carried ? { steps: carried.steps } : carriedBy === ANY_PIECE ? { steps: null } : null;
}
