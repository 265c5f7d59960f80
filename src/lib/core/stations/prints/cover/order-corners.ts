import { nth } from '../../../kernel/lists/nth';
import { sum } from 'd3-array';
import type { Corners, Point } from './types';

/**
 * Four points in any order as the corners of a gap: round their middle, beginning with the one that is most to the top left.
 * @example orderCorners([[10, 20], [0, 0], [10, 0], [0, 20]]) // [[0, 0], [10, 0], [10, 20], [0, 20]]
 */
export function orderCorners(points: readonly [Point, Point, Point, Point]): Corners {
	const middle = [0, 1].map((axis) => sum(points, (p) => nth(p, axis)) / 4) as [number, number];
	const angle = (p: Point) => Math.atan2(p[1] - middle[1], p[0] - middle[0]);
	// The y axis of a picture grows downwards, so growing angles run clockwise to the eye.
	const round = [...points].sort((a, b) => angle(a) - angle(b));
	const first = round.reduce((best, p, i) => (p[0] + p[1] < nth(round, best)[0] + nth(round, best)[1] ? i : best), 0);
	return [0, 1, 2, 3].map((i) => nth(round, (first + i) % 4)) as unknown as Corners;
}
