import { raisedText, textWidth } from '../kit/raised-text';
import { deg, ladderFault, mm, sizeOf, stepsOf } from '../kit/params';
import { box, rectangle, type Part } from '../kit/shape';
import type { PieceKind } from '../kit/types';

type Wedge = Part & { kind: 'prism' };

/** Clear room between two steps. */
const GAP_MM = 3;
const RAISED_MM = 0.6;

/**
 * A number that lies on a field, as large as fits.
 * @param text digits and capital letters
 * @param field lower left corner, height of its top and size, mm
 * @returns the raised parts; none for a sign without a shape
 * @example numberOn('?', { x: 0, y: 0, z: 2, width: 10, depth: 6 }) // []
 */
export function numberOn(text: string, field: { x: number; y: number; z: number; width: number; depth: number }): Part[] {
	const high = Math.min(field.depth * 0.75, (field.width * 0.85) / textWidth(text));
	const x = field.x + (field.width - textWidth(text) * high) / 2;
	return raisedText(text, { x, y: field.y + (field.depth - high) / 2, z: field.z, high, raised: RAISED_MM, on: 'plate' });
}

/** A code on the narrow end of a wall, which looks towards -y. */
function codeOnEnd(code: string, x: number, wall: number, wallHigh: number): Part[] {
	if (!code) return [];
	const high = Math.min(wallHigh * 0.6, 6, (wall * 0.9) / textWidth(code));
	const at = { x: x + (wall - textWidth(code) * high) / 2, y: 0, z: (wallHigh - high) / 2 };
	return raisedText(code, { ...at, high, raised: RAISED_MM, on: 'wall' });
}

/** A wedge on the other side of its wall. */
function acrossTheWall(wedge: Wedge, wall: number): Wedge {
	return { ...wedge, outline: wedge.outline.map(([x, z]) => [-wall - x, z] as const).reverse() };
}

/**
 * A wall with a row of wedges whose undersides lean farther and farther out: degrees from the vertical, as steps are named.
 * All have the same length along the slope. With two sides the wall carries them on both, one towards the part fan and one away.
 */
export const overhangLadder: PieceKind = {
	id: 'overhangLadder',
	params: [
		deg('from', 30, 10, 80),
		deg('to', 80, 20, 85),
		deg('step', 5, 1, 20),
		mm('slope', 14, 6, 40),
		mm('width', 9, 5, 30),
		mm('wall', 7, 4, 15),
		{ id: 'sides', unit: '', usual: 1, low: 1, high: 2, whole: true, optional: true }
	],
	fault: ladderFault,
	marks: (params) => [
		{ mark: 'overhang', steps: stepsOf(params) },
		...(params.sides === 2 ? [{ mark: 'overhangAway' as const, steps: stepsOf(params) }] : []),
		{ mark: 'surface', steps: null }
	],
	shape(params, code) {
		const steps = stepsOf(params);
		const [slope, width, wall] = [sizeOf(params, 'slope'), sizeOf(params, 'width'), sizeOf(params, 'wall')];
		const high = slope * Math.cos((sizeOf(params, 'from') * Math.PI) / 180);
		const long = steps.length * (width + GAP_MM) - GAP_MM;
		const wedges = steps.map((angle, i): Wedge => {
			const [reach, rise] = [slope * Math.sin((angle * Math.PI) / 180), slope * Math.cos((angle * Math.PI) / 180)];
			// Into the wall by a hair, so that both are one solid.
			const outline = [
				[0, 0],
				[reach, rise],
				[-0.01, rise],
				[-0.01, 0]
			] as const;
			return { kind: 'prism', outline, y: i * (width + GAP_MM), depth: width };
		});
		// F stands for the fan: this side is turned towards it.
		const reach = slope * Math.sin((sizeOf(params, 'from') * Math.PI) / 180);
		const fanLetter = numberOn('F', {
			x: 0,
			y: 0,
			z: slope * Math.cos((sizeOf(params, 'from') * Math.PI) / 180),
			width: reach,
			depth: width
		});
		const names = steps.flatMap((angle, i) =>
			numberOn(String(angle), { x: -wall, y: i * (width + GAP_MM), z: high, width: wall, depth: width })
		);
		const other = params.sides === 2 ? [...wedges.map((wedge) => acrossTheWall(wedge, wall)), ...fanLetter] : [];
		return { add: [box(-wall, 0, 0, wall, long, high), ...wedges, ...names, ...codeOnEnd(code, -wall, wall, high), ...other], cut: [] };
	}
};

/** Bridges of growing span, side by side, each from a common wall to a pillar of its own. */
export const bridgeLadder: PieceKind = {
	id: 'bridgeLadder',
	params: [
		mm('from', 5, 2, 100),
		mm('to', 50, 5, 150),
		mm('step', 5, 1, 20),
		mm('high', 10, 5, 30),
		mm('width', 6, 3, 20),
		mm('thick', 1.2, 0.4, 5),
		mm('pillar', 6, 4, 20)
	],
	fault: ladderFault,
	marks: (params) => [{ mark: 'bridge', steps: stepsOf(params) }],
	shape(params, code) {
		const steps = stepsOf(params);
		const [high, width, thick, pillar] = [
			sizeOf(params, 'high'),
			sizeOf(params, 'width'),
			sizeOf(params, 'thick'),
			sizeOf(params, 'pillar')
		];
		const long = steps.length * (width + GAP_MM) - GAP_MM;
		const spans = steps.flatMap((span, i): Part[] => {
			const y = i * (width + GAP_MM);
			return [
				box(pillar + span, y, 0, pillar, width, high),
				box(pillar - 0.01, y, high - thick, span + 0.02, width, thick),
				...numberOn(String(span), { x: pillar + span, y, z: high, width: pillar, depth: width })
			];
		});
		return { add: [box(0, 0, 0, pillar, long, high), ...spans, ...codeOnEnd(code, 0, pillar, high)], cut: [] };
	}
};

/** Floors for one temperature each, hottest at the foot: a window to bridge, a nose that leans out, and the temperature in figures. */
export const temperatureLadder: PieceKind = {
	id: 'temperatureLadder',
	params: [
		{ id: 'from', unit: 'degC', usual: 240, low: 120, high: 450 },
		{ id: 'to', unit: 'degC', usual: 200, low: 120, high: 450 },
		{ id: 'step', unit: 'degC', usual: 5, low: 1, high: 25 },
		mm('floor', 10, 8, 25),
		mm('width', 30, 20, 60),
		mm('depth', 8, 5, 20),
		mm('span', 14, 5, 40),
		mm('nose', 5, 2, 10)
	],
	fault: (params) =>
		ladderFault(params, 'down') ?? (sizeOf(params, 'span') > sizeOf(params, 'width') - 14 ? { param: 'span', reason: 'tooMany' } : null),
	marks: (params) => [{ mark: 'temperature', steps: stepsOf(params) }],
	shape(params, code) {
		const floors = stepsOf(params);
		const [floor, width, depth, span, nose] = ['floor', 'width', 'depth', 'span', 'nose'].map((id) => sizeOf(params, id)) as [
			number,
			number,
			number,
			number,
			number
		];
		const add: Part[] = [];
		const cut: Part[] = [];
		floors.forEach((degrees, i) => {
			const z = i * floor;
			add.push(box(0, 0, z, width, depth, floor + (i < floors.length - 1 ? 0.01 : 0)));
			const lean = [
				[width - 0.01, z + floor - nose],
				[width, z + floor - nose],
				[width + nose, z + floor],
				[width - 0.01, z + floor]
			] as const;
			add.push({ kind: 'prism', outline: lean, y: 0, depth });
			// The window stands beside the figures; its lintel is 2 mm.
			cut.push({ kind: 'prism', outline: rectangle(width - span - 2, z + 1, span, floor - 3), y: -1, depth: depth + 2 });
			const high = Math.min(floor * 0.5, (width - span - 5) / textWidth(String(degrees)));
			add.push(...raisedText(String(degrees), { x: 1, y: 0, z: z + (floor - high) / 2, high, raised: RAISED_MM, on: 'wall' }));
		});
		const top = floors.length * floor;
		add.push(...(code ? numberOn(code, { x: 0, y: 0, z: top, width, depth }) : []));
		return { add, cut };
	}
};
