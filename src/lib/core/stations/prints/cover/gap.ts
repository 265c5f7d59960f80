import { nth } from '../../../kernel/lists/nth';
import type { Corners, Pixels, Point } from './types';

/** The gap between two spikes laid out as a rectangle: how far each point is from the background towards the filament, in grey levels. */
export type Gap = {
	columns: number;
	rows: number;
	/** Row by row from the top. */
	levels: Float32Array;
	/** Width of each row on the picture, points: spikes taper, so rows differ. */
	rowWidths: Float64Array;
	/** Grey levels between the background and the spikes. */
	contrast: number;
};

const MOST_COLUMNS = 384;
const MOST_ROWS = 3000;
/** Left out beside each spike: a click is not exact, and an edge casts light. */
export const INSET = 0.04;
/** Share of the gap's width outside it that is taken for the spikes. */
const SPIKE = 0.1;

/**
 * The point of a gap at given shares of its width and height, by bilinear interpolation between the corners: spikes taper, so sides need not
 * be parallel.
 * @param u share of the way across, 0 to 1
 * @param v share of the way down, 0 to 1
 * @example pointIn([[0, 0], [10, 0], [10, 20], [0, 20]], 0.5, 0.5) // [5, 10]
 */
export function pointIn([tl, tr, br, bl]: Corners, u: number, v: number): Point {
	const mix = (axis: 0 | 1) => (1 - v) * ((1 - u) * tl[axis] + u * tr[axis]) + v * ((1 - u) * bl[axis] + u * br[axis]);
	return [mix(0), mix(1)];
}

/**
 * Lays the gap out as a rectangle. Rows keep the picture's own fineness, since strands are thin across them; along a strand several points
 * are averaged. Colours are read along the line from the background's to the spikes', so that a red hair on green shows as well as a white
 * one on black; where the two are alike, by brightness.
 * @example layOut(pixels, corners).rows // 1800
 */
export function layOut(pixels: Pixels, corners: Corners): Gap {
	const [tl, tr, br, bl] = corners;
	const width = (distance(tl, tr) + distance(bl, br)) / 2;
	const height = (distance(tl, bl) + distance(tr, br)) / 2;
	const columns = Math.max(8, Math.min(MOST_COLUMNS, Math.round(width)));
	const rows = Math.max(8, Math.min(MOST_ROWS, Math.round(height)));
	const ground = medianColour(pixels, corners, INSET, 1 - INSET);
	const [left, right] = [medianColour(pixels, corners, -SPIKE, -INSET), medianColour(pixels, corners, 1 + INSET, 1 + SPIKE)];
	const spikes = left.map((c, i) => (c + nth(right, i)) / 2);
	const between = spikes.map((c, i) => c - nth(ground, i));
	const contrast = Math.hypot(...between);
	// Of two colours that are nearly one the line between them is noise.
	const [wr, wg, wb]: [number, number, number] =
		contrast < 12 ? [0.299, 0.587, 0.114] : (between.map((c) => c / contrast) as [number, number, number]);
	const plane = levelsOf(pixels, [wr, wg, wb], ground);
	const levels = new Float32Array(columns * rows);
	const rowWidths = new Float64Array(rows);
	const along = Math.max(1, Math.round(width / columns));
	for (let r = 0; r < rows; r++) {
		const v = (r + 0.5) / rows;
		const [from, to] = [pointIn(corners, INSET, v), pointIn(corners, 1 - INSET, v)];
		rowWidths[r] = distance(from, to);
		const steps = columns * along;
		const [dx, dy] = [(to[0] - from[0]) / steps, (to[1] - from[1]) / steps];
		let [x, y] = [from[0] + dx / 2, from[1] + dy / 2];
		for (let c = 0; c < columns; c++) {
			let sum = 0;
			for (let s = 0; s < along; s++, x += dx, y += dy) {
				// Bilinear between four points; beyond the edge the edge goes on.
				const px = clamp(x - 0.5, pixels.width - 1);
				const py = clamp(y - 0.5, pixels.height - 1);
				const [x0, y0] = [Math.floor(px), Math.floor(py)];
				const [fx, fy] = [px - x0, py - y0];
				const a = y0 * pixels.width + x0;
				const right = x0 + 1 < pixels.width ? 1 : 0;
				const down = y0 + 1 < pixels.height ? pixels.width : 0;
				const above = (1 - fx) * nth(plane, a) + fx * nth(plane, a + right);
				const below = (1 - fx) * nth(plane, a + down) + fx * nth(plane, a + down + right);
				sum += (1 - fy) * above + fy * below;
			}
			levels[r * columns + c] = sum / along;
		}
	}
	return { columns, rows, levels, rowWidths, contrast };
}

/** Each point of the picture as how far it is from the ground towards the filament. */
function levelsOf({ data }: Pixels, [wr, wg, wb]: readonly [number, number, number], ground: readonly number[]): Float32Array {
	const base = wr * nth(ground, 0) + wg * nth(ground, 1) + wb * nth(ground, 2);
	const plane = new Float32Array(data.length / 4);
	for (let i = 0, p = 0; i < plane.length; i++, p += 4) plane[i] = wr * nth(data, p) + wg * nth(data, p + 1) + wb * nth(data, p + 2) - base;
	return plane;
}

const distance = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1]);
const clamp = (value: number, most: number) => Math.max(0, Math.min(most, value));

/** Median colour of a band across the gap, from some 2,000 points of it that lie on the picture. */
function medianColour(pixels: Pixels, corners: Corners, from: number, to: number): number[] {
	const seen: [number[], number[], number[]] = [[], [], []];
	for (let i = 0; i < 40; i++)
		for (let j = 0; j < 50; j++) {
			const [x, y] = pointIn(corners, from + ((i + 0.5) / 40) * (to - from), (j + 0.5) / 50).map(Math.floor) as [number, number];
			if (x < 0 || y < 0 || x >= pixels.width || y >= pixels.height) continue;
			for (const k of [0, 1, 2] as const) seen[k].push(nth(pixels.data, 4 * (y * pixels.width + x) + k));
		}
	return seen.map((values) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0);
}
