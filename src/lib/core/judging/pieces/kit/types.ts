import type { PieceMark } from '../../../record/marks/piece-mark';
import type { Shape } from './shape';

/** One size of a piece that can be chosen. An optional one came later: pieces without it are as they were. */
export type ParamDef = {
	id: string;
	unit: 'mm' | 'deg' | 'degC' | '';
	usual: number;
	low: number;
	high: number;
	whole?: boolean;
	optional?: boolean;
};

/** Chosen sizes by their id. */
export type Params = Record<string, number>;

export type PieceKind = {
	id: string;
	params: ParamDef[];
	/** The solid; the code, if any, stands on it in raised letters. */
	shape: (params: Params, code: string) => Shape;
	marks: (params: Params) => PieceMark[];
	/** What must hold between sizes beyond their own limits; null when all is well. */
	fault?: (params: Params) => { param: string; reason: 'notBelow' | 'tooFew' | 'tooMany' } | null;
};
