import { nth } from '../../../kernel/lists/nth';
import { raisedText, textWidth } from '../kit/raised-text';
import { ladderFault, LEAST_BORE, mm, sizeOf, stepsOf } from '../kit/params';
import { box, circle, type Part } from '../kit/shape';
import type { PieceKind } from '../kit/types';
import { numberOn } from './ladders';

const SUNK_MM = 0.4;
/** Room around the feet of the spikes. */
const MARGIN_MM = 3;

/** Two cones on a plate, some way apart: the travel between them is where strings are drawn. */
export const spikePair: PieceKind = {
	id: 'spikePair',
	params: [mm('gap', 30, 5, 120), mm('high', 40, 10, 120), mm('foot', 10, 4, 30), mm('tip', 2, 0.8, 10), mm('plate', 2, 0.8, 5)],
	fault: (params) => (sizeOf(params, 'tip') > sizeOf(params, 'foot') ? { param: 'tip', reason: 'tooMany' } : null),
	marks: () => [
		{ mark: 'strings', steps: null },
		{ mark: 'surface', steps: null }
	],
	shape(params, code) {
		const [gap, high, foot, tip, plate] = ['gap', 'high', 'foot', 'tip', 'plate'].map((id) => sizeOf(params, id)) as [
			number,
			number,
			number,
			number,
			number
		];
		const [wide, deep] = [gap + 2 * foot + 2 * MARGIN_MM, foot + 2 * MARGIN_MM];
		const cone = (x: number): Part => ({
			kind: 'cone',
			x,
			y: deep / 2,
			z: plate - 0.01,
			bottomRadius: foot / 2,
			topRadius: tip / 2,
			height: high + 0.01
		});
		// The gap is the clear room between the feet.
		const first = MARGIN_MM + foot / 2;
		const field = { x: first + foot / 2, y: 0, z: plate, width: gap, depth: deep };
		return {
			add: [box(0, 0, 0, wide, deep, plate), cone(first), cone(first + foot + gap), ...(code ? numberOn(code, field) : [])],
			cut: []
		};
	}
};

/** A long low bar with sharp ends: its corners lift first. */
export const warpBar: PieceKind = {
	id: 'warpBar',
	params: [mm('long', 120, 40, 300), mm('wide', 10, 5, 40), mm('high', 8, 2, 30)],
	marks: () => [
		{ mark: 'cornerLift', steps: null },
		{ mark: 'adhesion', steps: null }
	],
	shape(params, code) {
		const [long, wide, high] = [sizeOf(params, 'long'), sizeOf(params, 'wide'), sizeOf(params, 'high')];
		const field = { x: long / 4, y: 0, z: high, width: long / 2, depth: wide };
		return { add: [box(0, 0, 0, long, wide, high), ...(code ? numberOn(code, field) : [])], cut: [] };
	}
};

/** A block to measure along each axis, with a bore if wanted (under 1 mm for none). */
export const measuringBlock: PieceKind = {
	id: 'measuringBlock',
	params: [mm('alongX', 20, 5, 200), mm('alongY', 20, 5, 200), mm('alongZ', 20, 2, 200), mm('bore', 0, 0, 150)],
	fault: (params) =>
		sizeOf(params, 'bore') > Math.min(sizeOf(params, 'alongX'), sizeOf(params, 'alongY')) - 3 ? { param: 'bore', reason: 'tooMany' } : null,
	marks: () => [
		{ mark: 'dimensions', steps: null },
		{ mark: 'surface', steps: null }
	],
	shape(params, code) {
		const [x, y, z, bore] = [sizeOf(params, 'alongX'), sizeOf(params, 'alongY'), sizeOf(params, 'alongZ'), sizeOf(params, 'bore')];
		const hole: Part = { kind: 'plate', outline: circle(x / 2, y / 2, bore / 2), z: -1, height: z + 2 };
		// Sunk into the front, so that no jaw of a caliper rests on it.
		const high = Math.min(z * 0.5, (x * 0.7) / Math.max(1e-9, textWidth(code)));
		const at = { x: (x - textWidth(code) * high) / 2, y: SUNK_MM, z: (z - high) / 2, high, raised: 2 * SUNK_MM, on: 'wall' as const };
		return { add: [box(0, 0, 0, x, y, z)], cut: [...(bore >= LEAST_BORE ? [hole] : []), ...(code ? raisedText(code, at) : [])] };
	}
};

/** A flat tile: what light shows of a surface. */
export const flatTile: PieceKind = {
	id: 'flatTile',
	params: [mm('wide', 40, 10, 200), mm('deep', 40, 10, 200), mm('thick', 2, 0.4, 10)],
	marks: () => [
		{ mark: 'surface', steps: null },
		{ mark: 'cornerLift', steps: null }
	],
	shape(params, code) {
		const [wide, deep, thick] = [sizeOf(params, 'wide'), sizeOf(params, 'deep'), sizeOf(params, 'thick')];
		const field = { x: wide * 0.1, y: deep * 0.05, z: thick, width: wide * 0.35, depth: deep * 0.2 };
		return { add: [box(0, 0, 0, wide, deep, thick), ...(code ? numberOn(code, field) : [])], cut: [] };
	}
};

/** Lines of text that get smaller and smaller: the last one that can be read. */
export const textPlate: PieceKind = {
	id: 'textPlate',
	params: [mm('from', 8, 3, 20), mm('to', 2, 1, 10), mm('step', 1, 0.25, 5), mm('thick', 2, 0.8, 5), mm('raised', 0.6, 0.2, 2)],
	fault: (params) => ladderFault(params, 'down'),
	marks: (params) => [{ mark: 'smallText', steps: stepsOf(params) }],
	shape(params, code) {
		const lines = stepsOf(params);
		const text = code || 'ABC123';
		const [thick, raised] = [sizeOf(params, 'thick'), sizeOf(params, 'raised')];
		const room = 2;
		const wide = textWidth(text) * nth(lines, 0) + 2 * room;
		const deep = lines.reduce((sum, high) => sum + high + room, room);
		let y = deep;
		const words = lines.flatMap((high) => {
			y -= high + room;
			return raisedText(text, { x: room, y, z: thick, high, raised, on: 'plate' });
		});
		return { add: [box(0, 0, 0, wide, deep, thick), ...words], cut: [] };
	}
};
