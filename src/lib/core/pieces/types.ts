import type { Shape } from './shape';

/** One size of a piece that can be chosen. */
export type ParamDef = { id: string; unit: 'mm' | 'deg' | 'degC' | ''; usual: number; low: number; high: number; whole?: boolean };

/** Chosen sizes by their id. */
export type Params = Record<string, number>;

/** What is looked at on a piece: a mark and, where it climbs, its steps from the easiest on. */
export type PieceMark = { mark: MarkId; steps: number[] | null };

export type MarkId =
	'overhang' | 'bridge' | 'strings' | 'cornerLift' | 'dimensions' | 'surface' | 'smallText' | 'temperature' | 'adhesion' | 'strength';

export type PieceKind = {
	id: string;
	params: ParamDef[];
	/** The solid; the code, if any, stands on it in raised letters. */
	shape: (params: Params, code: string) => Shape;
	marks: (params: Params) => PieceMark[];
	/** What must hold between sizes beyond their own limits; null when all is well. */
	fault?: (params: Params) => { param: string; reason: 'notBelow' | 'tooFew' | 'tooMany' } | null;
};
