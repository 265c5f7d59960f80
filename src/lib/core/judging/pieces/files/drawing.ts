import { nth } from '../../../kernel/lists/nth';
import { sum } from 'd3-array';
import type { Mesh } from './solid';
import { normalOf, type Vector } from './stl';

/** A face as it is seen: its corners on the paper in mm, how much light it gets (0 to 1), and which of its sides are edges of the solid. */
type Face = { corners: [Spot, Spot, Spot]; light: number; edges: [boolean, boolean, boolean] };
type Spot = readonly [x: number, y: number];

export type Drawing = { faces: Face[]; width: number; height: number };

/** Seen from the front right and above. */
const TURN = Math.PI / 6;
const TILT = Math.PI / 6;
/** From the upper left, over the shoulder. */
const LIGHT: Vector = [-0.35, -0.6, 0.72];
/** Neighbouring faces that meet at less than this belong to one surface. */
const SMOOTH = Math.cos((25 * Math.PI) / 180);

/**
 * A solid drawn on paper, in parallel projection: the faces that look this way, the farthest first, so that what is drawn later covers
 * what lies behind.
 * Source: painter's order by the middle of each face (common practice, no source).
 * @example drawingOf(mesh).faces.length // 2
 */
export function drawingOf({ corners, triangles }: Mesh): Drawing {
	const at = (i: number): Vector => [nth(corners, 3 * i), nth(corners, 3 * i + 1), nth(corners, 3 * i + 2)];
	const count = triangles.length / 3;
	const normals = Array.from({ length: count }, (_, t) =>
		normalOf([at(nth(triangles, 3 * t)), at(nth(triangles, 3 * t + 1)), at(nth(triangles, 3 * t + 2))])
	);
	const neighbours = neighboursOf(corners, triangles);
	const seen: { face: Face; depth: number }[] = [];
	for (let t = 0; t < count; t++) {
		const normal = nth(normals, t);
		if (depthOf(normal) <= 1e-6) continue;
		const points = [0, 1, 2].map((k) => at(nth(triangles, 3 * t + k))) as [Vector, Vector, Vector];
		const edges = [0, 1, 2].map((k) => {
			const other = neighbours[3 * t + k];
			return other === undefined || dot(normal, nth(normals, other)) < SMOOTH;
		}) as Face['edges'];
		const light = 0.35 + 0.65 * Math.max(0, dot(normal, LIGHT));
		seen.push({
			face: { corners: points.map(spotOf) as Face['corners'], light: Math.min(1, light), edges },
			depth: sum(points, depthOf) / 3
		});
	}
	const faces = seen.sort((a, b) => a.depth - b.depth).map((s) => s.face);
	const xs = faces.flatMap((f) => f.corners.map((c) => c[0]));
	const ys = faces.flatMap((f) => f.corners.map((c) => c[1]));
	const [left, top] = [least(xs), least(ys)];
	return {
		faces: faces.map((f) => ({ ...f, corners: f.corners.map(([x, y]) => [x - left, y - top] as const) as Face['corners'] })),
		width: -least(xs.map((x) => -x)) - left,
		height: -least(ys.map((y) => -y)) - top
	};
}

const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity);
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** On the paper: to the right and downwards. */
function spotOf([x, y, z]: Vector): Spot {
	const right = x * Math.cos(TURN) + y * Math.sin(TURN);
	const back = -x * Math.sin(TURN) + y * Math.cos(TURN);
	return [right, -(z * Math.cos(TILT) + back * Math.sin(TILT))];
}

/** Towards the eye. */
function depthOf([x, y, z]: Vector): number {
	const back = -x * Math.sin(TURN) + y * Math.cos(TURN);
	return z * Math.sin(TILT) - back * Math.cos(TILT);
}

/** For each side of each triangle the triangle across it; corners in the same place are one. */
function neighboursOf(corners: Float32Array, triangles: Uint32Array): (number | undefined)[] {
	const places = new Map<string, number>();
	const placeOf = Array.from({ length: corners.length / 3 }, (_, i) => {
		const key = `${corners[3 * i]} ${corners[3 * i + 1]} ${corners[3 * i + 2]}`;
		const known = places.get(key) ?? i;
		places.set(key, known);
		return known;
	});
	const sides = new Map<string, number>();
	const from = (side: number) => placeOf[nth(triangles, side)] as number;
	const to = (side: number) => from(side % 3 === 2 ? side - 2 : side + 1);
	for (let side = 0; side < triangles.length; side++) sides.set(`${from(side)} ${to(side)}`, side);
	return Array.from({ length: triangles.length }, (_, side) => {
		const across = sides.get(`${to(side)} ${from(side)}`);
		return across === undefined ? undefined : Math.floor(across / 3);
	});
}
