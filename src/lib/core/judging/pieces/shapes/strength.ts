import { raisedText } from '../kit/raised-text';
import { LEAST_BORE, mm, sizeOf } from '../kit/params';
import { arc, box, circle, type Part, type Point } from '../kit/shape';
import type { Params, PieceKind } from '../kit/types';
import { numberOn } from './ladders';

const STRENGTH = [{ mark: 'strength' as const, steps: null }];

const barParams = [
	mm('grip', 25, 10, 60),
	mm('gripWide', 16, 8, 40),
	mm('shoulder', 10, 3, 30),
	mm('gauge', 40, 10, 100),
	mm('gaugeWide', 8, 3, 30),
	mm('thick', 4, 1, 12)
];
const barFault = (params: Params) =>
	sizeOf(params, 'gaugeWide') >= sizeOf(params, 'gripWide') ? ({ param: 'gaugeWide', reason: 'tooMany' } as const) : null;

/** Outline of a tensile bar along the first axis: wide grips, straight shoulders, a narrow gauge length. */
function barOutline(params: Params): Point[] {
	const [grip, wide, shoulder, gauge, narrow] = ['grip', 'gripWide', 'shoulder', 'gauge', 'gaugeWide'].map((id) => sizeOf(params, id)) as [
		number,
		number,
		number,
		number,
		number
	];
	const long = 2 * grip + 2 * shoulder + gauge;
	const inset = (wide - narrow) / 2;
	return [
		[0, 0],
		[grip, 0],
		[grip + shoulder, inset],
		[grip + shoulder + gauge, inset],
		[long - grip, 0],
		[long, 0],
		[long, wide],
		[long - grip, wide],
		[grip + shoulder + gauge, wide - inset],
		[grip + shoulder, wide - inset],
		[grip, wide],
		[0, wide]
	];
}

/** A tensile bar lying flat: its layers are pulled along. */
export const tensileBarFlat: PieceKind = {
	id: 'tensileBarFlat',
	params: barParams,
	fault: barFault,
	marks: () => STRENGTH,
	shape(params, code) {
		const [grip, wide, thick] = [sizeOf(params, 'grip'), sizeOf(params, 'gripWide'), sizeOf(params, 'thick')];
		const bar: Part = { kind: 'plate', outline: barOutline(params), z: 0, height: thick };
		return { add: [bar, ...(code ? numberOn(code, { x: 1, y: 0, z: thick, width: grip - 2, depth: wide }) : [])], cut: [] };
	}
};

/** The same bar printed upright, on a foot: its layers are pulled apart. */
export const tensileBarUpright: PieceKind = {
	id: 'tensileBarUpright',
	params: barParams,
	fault: barFault,
	marks: () => STRENGTH,
	shape(params, code) {
		const [grip, wide, thick] = [sizeOf(params, 'grip'), sizeOf(params, 'gripWide'), sizeOf(params, 'thick')];
		// Turned upright: what ran along now runs upwards; the order of corners turns round with it.
		const outline = barOutline(params)
			.map(([along, across]) => [across, along] as const)
			.reverse();
		const codes = code
			? raisedText(code, { x: wide * 0.15, y: 0, z: grip * 0.35, high: Math.min(grip * 0.3, (wide * 0.7) / 2.5), raised: 0.6, on: 'wall' })
			: [];
		return { add: [{ kind: 'prism', outline, y: 0, depth: thick }, ...codes], cut: [] };
	}
};

/** A strip for bending by hand or over an edge. */
export const bendStrip: PieceKind = {
	id: 'bendStrip',
	params: [mm('long', 80, 30, 200), mm('wide', 10, 4, 40), mm('thick', 3, 0.8, 10)],
	marks: () => STRENGTH,
	shape(params, code) {
		const [long, wide, thick] = [sizeOf(params, 'long'), sizeOf(params, 'wide'), sizeOf(params, 'thick')];
		return {
			add: [box(0, 0, 0, long, wide, thick), ...(code ? numberOn(code, { x: 1, y: 0, z: thick, width: long * 0.3, depth: wide }) : [])],
			cut: []
		};
	}
};

/** A hook printed flat: an eye to hang it by, and a bend the load sits in. */
export const hook: PieceKind = {
	id: 'hook',
	params: [mm('opening', 20, 8, 60), mm('section', 7, 3, 20), mm('thick', 6, 2, 20), mm('shank', 25, 5, 80)],
	marks: () => STRENGTH,
	shape(params, code) {
		const [opening, section, thick, shank] = [
			sizeOf(params, 'opening'),
			sizeOf(params, 'section'),
			sizeOf(params, 'thick'),
			sizeOf(params, 'shank')
		];
		const [inner, outer] = [opening / 2, opening / 2 + section];
		// Three quarters of a ring, open to the upper right; the shank rises from its left end.
		const bend: Point[] = [...arc(0, 0, outer, 180, 405, 72), ...arc(0, 0, inner, 180, 405, 72).reverse()];
		const eyeY = shank + inner;
		const add: Part[] = [
			{ kind: 'plate', outline: bend, z: 0, height: thick },
			box(-outer, -0.01, 0, section, shank + inner * 0.3, thick),
			{ kind: 'plate', outline: circle(-outer + section / 2, eyeY, section * 1.2), z: 0, height: thick }
		];
		const hole: Part = { kind: 'plate', outline: circle(-outer + section / 2, eyeY, section * 0.6), z: -1, height: thick + 2 };
		const codes = code ? numberOn(code, { x: -outer, y: -section / 2, z: thick, width: section, depth: section * 1.5 }) : [];
		return { add: [...add, ...codes], cut: [hole] };
	}
};

/** A post on a foot, to be broken off sideways: the layers of its root let go. */
export const adhesionPost: PieceKind = {
	id: 'adhesionPost',
	params: [mm('side', 8, 3, 25), mm('high', 40, 10, 120), mm('foot', 24, 10, 80), mm('footThick', 3, 1, 10), mm('bore', 4, 0, 15)],
	fault: (params) =>
		sizeOf(params, 'side') > sizeOf(params, 'foot')
			? { param: 'side', reason: 'tooMany' }
			: sizeOf(params, 'bore') > sizeOf(params, 'side') - 2
				? { param: 'bore', reason: 'tooMany' }
				: null,
	marks: () => STRENGTH,
	shape(params, code) {
		const [side, high, foot, footThick, bore] = ['side', 'high', 'foot', 'footThick', 'bore'].map((id) => sizeOf(params, id)) as [
			number,
			number,
			number,
			number,
			number
		];
		const at = (foot - side) / 2;
		const through: Part = { kind: 'prism', outline: circle(foot / 2, footThick + high - side, bore / 2), y: -1, depth: foot + 2 };
		const codes = code ? numberOn(code, { x: 0, y: 0, z: footThick, width: foot, depth: at }) : [];
		return {
			add: [box(0, 0, 0, foot, foot, footThick), box(at, at, footThick - 0.01, side, side, high + 0.01), ...codes],
			cut: bore >= LEAST_BORE ? [through] : []
		};
	}
};
