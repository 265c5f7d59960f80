import { compound } from '../shapes/compound';
import { bridgeLadder, overhangLadder, temperatureLadder } from '../shapes/ladders';
import { flatTile, measuringBlock, spikePair, textPlate, warpBar } from '../shapes/plain';
import { adhesionPost, bendStrip, hook, tensileBarFlat, tensileBarUpright } from '../shapes/strength';
import type { Params, PieceKind } from '../kit/types';

/** Every piece that can be made, in the order of the page. */
export const PIECE_KINDS: readonly PieceKind[] = [
	compound,
	overhangLadder,
	bridgeLadder,
	spikePair,
	warpBar,
	measuringBlock,
	flatTile,
	textPlate,
	temperatureLadder,
	tensileBarFlat,
	tensileBarUpright,
	bendStrip,
	hook,
	adhesionPost
];

/**
 * A kind of piece by its id.
 * @example pieceKind('spikePair')?.marks({})[0].mark // 'strings'
 */
export function pieceKind(id: string): PieceKind | null {
	return PIECE_KINDS.find((k) => k.id === id) ?? null;
}

export type ParamFault =
	| { param: string; reason: 'missing' | 'notBelow' | 'tooFew' | 'tooMany' }
	| { param: string; reason: 'outOfRange'; low: number; high: number };

/**
 * What is wrong with chosen sizes: each within its own limits first, then all together.
 * @example paramFaults(flatTile, { wide: 5, deep: 40, thick: 2 }) // [{ param: 'wide', reason: 'outOfRange', low: 10, high: 200 }]
 */
export function paramFaults(kind: PieceKind, params: Params): ParamFault[] {
	const single = kind.params.flatMap(({ id, low, high, whole, optional }): ParamFault[] => {
		const value = params[id];
		if (optional && value === undefined) return [];
		if (value === undefined || !Number.isFinite(value)) return [{ param: id, reason: 'missing' }];
		return value < low || value > high || (whole && !Number.isInteger(value)) ? [{ param: id, reason: 'outOfRange', low, high }] : [];
	});
	if (single.length > 0) return single;
	const together = kind.fault?.(params) ?? null;
	return together ? [together] : [];
}
