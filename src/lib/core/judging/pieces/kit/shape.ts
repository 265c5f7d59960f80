/** A point in a plane, mm. */
export type Point = readonly [number, number];

/**
 * A simple solid in mm: a prism drawn from the side and extruded along y, a plate drawn from above and extruded upwards, or a cone
 * standing upright. Outlines run counter-clockwise.
 */
export type Part =
	| { kind: 'prism'; outline: readonly Point[]; y: number; depth: number }
	| { kind: 'plate'; outline: readonly Point[]; z: number; height: number }
	| { kind: 'cone'; x: number; y: number; z: number; bottomRadius: number; topRadius: number; height: number };

/** A piece as simple solids put together and cut away: data, so that it can be tested and drawn without a geometry engine. */
export type Shape = { add: Part[]; cut: Part[] };

/** Corners that stand for a circle. */
export const ROUND = 64;

/**
 * A rectangle as an outline.
 * @param width along x, in mm, as all lengths here
 * @param height along y
 * @example rectangle(0, 0, 10, 5) // [[0, 0], [10, 0], [10, 5], [0, 5]]
 */
export function rectangle(x: number, y: number, width: number, height: number): Point[] {
	return [
		[x, y],
		[x + width, y],
		[x + width, y + height],
		[x, y + height]
	];
}

/**
 * A box standing on z.
 * @param width along x, in mm, as all lengths here
 * @param depth along y
 * @param height along z
 * @example box(0, 0, 0, 20, 20, 20) // { kind: 'plate', z: 0, height: 20 }
 */
export function box(x: number, y: number, z: number, width: number, depth: number, height: number): Part {
	return { kind: 'plate', outline: rectangle(x, y, width, depth), z, height };
}

/**
 * Points of an arc of a circle, in degrees counter-clockwise, both ends included.
 * @param radius in mm
 * @param corners how many lines stand for the arc
 * @example arc(0, 0, 5, 0, 360, ROUND).length // 65
 */
export function arc(x: number, y: number, radius: number, fromDeg: number, toDeg: number, corners: number): Point[] {
	return Array.from({ length: corners + 1 }, (_, i) => {
		const angle = ((fromDeg + ((toDeg - fromDeg) * i) / corners) * Math.PI) / 180;
		return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)] as const;
	});
}

/**
 * A circle as an outline.
 * @param radius in mm
 * @example circle(0, 0, 5).length // 64
 */
export function circle(x: number, y: number, radius: number): Point[] {
	return arc(x, y, radius, 0, 360, ROUND).slice(0, -1);
}

/**
 * The same parts somewhere else.
 * @param dx along x, in mm
 * @param dy along y, in mm
 * @example moved([box(0, 0, 0, 20, 20, 20)], 10, 0)[0].outline[0] // [10, 0]
 */
export function moved(parts: readonly Part[], dx: number, dy: number, dz = 0): Part[] {
	return parts.map((part) => {
		if (part.kind === 'cone') return { ...part, x: part.x + dx, y: part.y + dy, z: part.z + dz };
		if (part.kind === 'prism') return { ...part, y: part.y + dy, outline: part.outline.map(([x, z]) => [x + dx, z + dz] as const) };
		return { ...part, z: part.z + dz, outline: part.outline.map(([x, y]) => [x + dx, y + dy] as const) };
	});
}
