import type { PieceMark } from '../marks/piece-mark';

export type Piece = {
	id: string;
	/** Versions of one piece share it. */
	familyId: string;
	version: number;
	name: string;
	/** What is looked at on it, with the steps of ladders. */
	marks: PieceMark[];
	/** Sizes of a piece that was made here; null for a model of the tester's own. */
	params: Record<string, number> | null;
};
