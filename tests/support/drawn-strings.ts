import { randomSource } from '../../src/lib/core/kernel/random/source';
import type { Corners, Pixels, Point } from '../../src/lib/core/stations/prints/cover/types';

/** A strand between the spikes: where it starts and ends (share of the height), how far it sags, how thick it is (points). */
export type DrawnStrand = { from: number; to: number; sag: number; thick: number; strength?: number };

export type DrawnPhoto = {
	width: number;
	height: number;
	strands: DrawnStrand[];
	ground: [number, number, number];
	filament: [number, number, number];
	/** Standard deviation of the noise, grey levels. */
	noise?: number;
	/** Specks of dust. */
	specks?: number;
	/** The photograph's tilt, degrees. */
	tiltDeg?: number;
	/** Everything is multiplied by this: a dark picture. */
	exposure?: number;
	seed?: number;
};

/** Draws two spikes and known strands, and says which share of the gap they cover. */
export function drawnPhoto(spec: DrawnPhoto): { pixels: Pixels; corners: Corners; coveragePct: number } {
	const { width, height, strands, ground, filament, noise = 0, specks = 0, tiltDeg = 0, exposure = 1, seed = 1 } = spec;
	const uniform = randomSource(seed);
	// Upright, the gap lies in the middle half; its top is wider than its foot, as between cones.
	const [left, right, top, bottom] = [width * 0.28, width * 0.72, height * 0.2, height * 0.8];
	const lean = width * 0.04;
	const centre: Point = [width / 2, height / 2];
	const [sin, cos] = [Math.sin((tiltDeg * Math.PI) / 180), Math.cos((tiltDeg * Math.PI) / 180)];
	const tilted = ([x, y]: Point): Point => [
		centre[0] + (x - centre[0]) * cos - (y - centre[1]) * sin,
		centre[1] + (x - centre[0]) * sin + (y - centre[1]) * cos
	];
	const upright = ([x, y]: Point): Point => [
		centre[0] + (x - centre[0]) * cos + (y - centre[1]) * sin,
		centre[1] - (x - centre[0]) * sin + (y - centre[1]) * cos
	];
	const edges = (y: number): [number, number] => {
		const v = (y - top) / (bottom - top);
		return [left - lean * (1 - v), right + lean * (1 - v)];
	};
	const dust = Array.from({ length: specks }, () => [uniform() * width, uniform() * height, 0.8 + uniform() * 1.6] as const);
	const data = new Uint8ClampedArray(4 * width * height);
	const gauss = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
	for (let j = 0; j < height; j++)
		for (let i = 0; i < width; i++) {
			const [x, y] = upright([i + 0.5, j + 0.5]);
			const [l, r] = edges(y);
			// How much of this point is filament.
			let share = y > top - 4 && y < bottom + 20 && (x < l || x > r) && x > l - width * 0.08 && x < r + width * 0.08 ? 1 : 0;
			if (share === 0 && x >= l && x <= r)
				for (const s of strands) {
					const u = (x - l) / (r - l);
					const at = top + (s.from + (s.to - s.from) * u + s.sag * 4 * u * (1 - u)) * (bottom - top);
					share = Math.max(share, (s.strength ?? 1) * Math.max(0, Math.min(1, s.thick / 2 + 0.5 - Math.abs(y - at))));
				}
			for (const [dx, dy, radius] of dust)
				if (Math.abs(i - dx) < 4 && Math.abs(j - dy) < 4) share = Math.max(share, Math.hypot(i - dx, j - dy) < radius ? 1 : 0);
			const glow = 1 + 0.15 * (x / width - 0.5);
			for (const k of [0, 1, 2] as const)
				data[4 * (j * width + i) + k] = exposure * glow * (ground[k] * (1 - share) + filament[k] * share) + noise * gauss();
			data[4 * (j * width + i) + 3] = 255;
		}
	const corners = ([[...edges(top)], [...edges(bottom)]] as [number, number][]).flatMap(([l, r], row): Point[] => {
		const y = row === 0 ? top : bottom;
		return row === 0 ? [tilted([l, y]), tilted([r, y])] : [tilted([r, y]), tilted([l, y])];
	}) as unknown as Corners;
	return { pixels: { width, height, data }, corners, coveragePct: (100 * strands.reduce((sum, s) => sum + s.thick, 0)) / (bottom - top) };
}
