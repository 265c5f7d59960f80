import { randomSource, type RandomSource } from '../../../kernel/random/source';
import { COUNTS, DRAWN_STEPS, type TrainerSubject } from './subjects';

type Point = readonly [x: number, y: number];

/** A drawing on a field of 120 by 90: lines, filled outlines and dots. */
export type Drawing = {
	outlines: Point[][];
	lines: { points: Point[]; width: number }[];
	dots: { x: number; y: number; radius: number }[];
	/** What is written beside the parts of it. */
	labels: { x: number; y: number; text: string }[];
};

/**
 * A drawn print of a known grade: the same seed gives the same drawing.
 * @param grade index of the answer: of four words, or of the last clean step
 * @example drawSample('strings', 1, 7).lines.length // 2
 */
export function drawSample(subject: TrainerSubject, grade: number, seed: number): Drawing {
	const uniform = randomSource(seed);
	switch (subject) {
		case 'strings':
			return spikes(countOf('strings', grade, uniform), grade, uniform);
		case 'surface':
			return wall(countOf('surface', grade, uniform), grade, uniform);
		case 'overhang':
			return ladder(grade, uniform);
	}
}

const within = (uniform: RandomSource, low: number, high: number) => low + (high - low) * uniform();

function countOf(subject: 'strings' | 'surface', grade: number, uniform: RandomSource): number {
	const [low, high] = COUNTS[subject][grade] ?? [0, 0];
	return low + Math.floor(uniform() * (high - low + 1));
}

/** Two spikes with so many strands between them, each sagging its own way. */
function spikes(count: number, grade: number, uniform: RandomSource): Drawing {
	const lines = Array.from({ length: count }, () => {
		const from = within(uniform, 12, 78);
		const to = from + within(uniform, -5, 5);
		const sag = within(uniform, 0.5, 7);
		// The inner edge of a spike leans outwards as it rises.
		const edge = (y: number) => 38 - (8 * (84 - y)) / 76;
		const [left, right] = [edge(from), 120 - edge(to)];
		const points = Array.from({ length: 13 }, (_, i): Point => {
			const u = i / 12;
			return [left + (right - left) * u, from + (to - from) * u + sag * 4 * u * (1 - u)];
		});
		return { points, width: grade === 1 ? within(uniform, 0.35, 0.5) : within(uniform, 0.4, grade === 3 ? 1.3 : 0.8) };
	});
	const outlines: Point[][] = [
		[
			[10, 84],
			[24, 8],
			[30, 8],
			[38, 84]
		],
		[
			[82, 84],
			[90, 8],
			[96, 8],
			[110, 84]
		]
	];
	return { outlines, lines, dots: [], labels: [] };
}

/** A wall of layers with so many dots on it. */
function wall(count: number, grade: number, uniform: RandomSource): Drawing {
	const outlines: Point[][] = [
		[
			[10, 10],
			[110, 10],
			[110, 80],
			[10, 80]
		]
	];
	const dots = Array.from({ length: count }, () => ({
		x: within(uniform, 13, 107),
		y: within(uniform, 13, 77),
		radius: within(uniform, 0.5, 0.8 + 0.3 * grade)
	}));
	return { outlines, lines: [], dots, labels: [] };
}

/** Wedges from the side, a step each; from the first faulty one on the undersides hang, the farther the more. */
function ladder(lastClean: number, uniform: RandomSource): Drawing {
	const outlines: Point[][] = [];
	const lines: Drawing['lines'] = [];
	const labels: Drawing['labels'] = [];
	DRAWN_STEPS.forEach((degrees, i) => {
		const [x, y] = [8 + (i % 3) * 38, i < 3 ? 40 : 84];
		const angle = (degrees * Math.PI) / 180;
		const [reach, rise] = [28 * Math.sin(angle), 28 * Math.cos(angle)];
		const beyond = i - lastClean;
		const droop = beyond <= 0 ? 0 : 1.1 + 0.9 * (beyond - 1);
		const under = Array.from({ length: 15 }, (_, k): Point => {
			const u = k / 14;
			// Seen along the slope: waves of plastic that had nothing to lie on, more towards the tip.
			const hang = droop === 0 ? 0 : droop * u * (0.6 + 0.4 * Math.sin(k * 1.7 + within(uniform, 0, 1.5)));
			return [x + 4 + reach * u, y - rise * u + hang];
		});
		labels.push({ x: x + 1, y: y - rise - 5, text: `${degrees}°` });
		outlines.push([[x, y], ...under, [x + 4 + reach, y - rise - 3], [x, y - rise - 3]]);
		if (droop > 1.5)
			// A line that came loose hangs in an arc between two places of the underside.
			lines.push({
				points: Array.from({ length: 9 }, (_, k): Point => {
					const u = 0.45 + 0.05 * k;
					return [x + 4 + reach * u, y - rise * u + droop * (0.4 + 3 * (k / 8) * (1 - k / 8))];
				}),
				width: 0.6
			});
	});
	return { outlines, lines, dots: [], labels };
}
