import { nth } from '../../../kernel/lists/nth';
import type { Mesh } from './solid';

const HEADER_BYTES = 80;
const TRIANGLE_BYTES = 50;

/**
 * A mesh as a binary STL file, mm.
 * Source: the format is common property since 1989; from memory.
 * @example stlOf(mesh).byteLength // 284
 */
export function stlOf({ corners, triangles }: Mesh): Uint8Array<ArrayBuffer> {
	const count = triangles.length / 3;
	const bytes = new Uint8Array(HEADER_BYTES + 4 + count * TRIANGLE_BYTES);
	const view = new DataView(bytes.buffer);
	view.setUint32(HEADER_BYTES, count, true);
	for (let t = 0; t < count; t++) {
		const at = HEADER_BYTES + 4 + t * TRIANGLE_BYTES;
		const points = [0, 1, 2].map((k) => cornerOf(corners, nth(triangles, 3 * t + k))) as [Vector, Vector, Vector];
		[normalOf(points), ...points].forEach((vector, v) =>
			vector.forEach((value, axis) => view.setFloat32(at + 12 * v + 4 * axis, value, true))
		);
	}
	return bytes;
}

export type Vector = [number, number, number];

const cornerOf = (corners: Float32Array, i: number): Vector => [nth(corners, 3 * i), nth(corners, 3 * i + 1), nth(corners, 3 * i + 2)];

/**
 * Unit vector that points out of a triangle, by the right-hand rule; zero for one without area.
 * @param triangle its three corners, anticlockwise seen from outside
 * @example normalOf([[0, 0, 0], [1, 0, 0], [0, 1, 0]]) // [0, 0, 1]
 */
export function normalOf([a, b, c]: [Vector, Vector, Vector]): Vector {
	const [u, v] = [
		[b[0] - a[0], b[1] - a[1], b[2] - a[2]],
		[c[0] - a[0], c[1] - a[1], c[2] - a[2]]
	] as [Vector, Vector];
	const cross: Vector = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
	const length = Math.hypot(...cross);
	return length > 0 ? [cross[0] / length, cross[1] / length, cross[2] / length] : [0, 0, 0];
}
