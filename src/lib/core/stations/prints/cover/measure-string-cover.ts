import { nth } from '../../../kernel/lists/nth';
import { sum } from 'd3-array';
import { patchesOf, type Patch } from './components';
import { INSET, layOut, pointIn, type Gap } from './gap';
import { runningMedian } from './running-median';
import type { Corners, Pixels, Point } from './types';

/** Why a photograph is not good enough, the worst first. */
export type PhotoFault = 'corners' | 'small' | 'alike' | 'noisy' | 'dusty';

export type StringCover = {
	/** Share of the gap that strands cover, with what a stricter and a looser eye would say; per cent. */
	coveragePct: number;
	lowPct: number;
	highPct: number;
	/** Strands that cross: the median over lines between the spikes, and what a tenth of the lines has fewer or more than. */
	count: number;
	countLow: number;
	countHigh: number;
	quality: 'clear' | 'doubtful' | 'unusable';
	faults: PhotoFault[];
	/** Least change of brightness that is taken for a strand, and what the filament stands out with; grey levels. */
	limit: number;
	contrast: number;
	/** Where strands were seen on the picture, to be looked at. */
	seenAt: Point[];
};

/** Standard deviations of the background's noise that a strand must stand out with: as usual, strictly, loosely. */
const EYES = { usual: 5, strict: 8, loose: 3.5 };
/** Grey levels no strand is told by, however clean the picture. */
const LEAST_LEVELS = 3;
/** Share of the gap's width a patch must reach over to be a strand; what is shorter is dust, or a stub. */
const STRAND_REACH = 0.2;
/** Share of the width over which a strand may fade out of sight. */
const BRIDGED = 0.04;
/** Lines between the spikes along which strands are counted. */
const LINES = 21;

/**
 * Strands between two spikes on a photograph: how much of the gap they cover and how many cross it. What stands out of the background by
 * five times its noise and reaches over a fifth of the gap is a strand; the rest is dust. A measure of the photograph, not a judged mark: it
 * depends on light and background, and says how far it is to be trusted.
 * Source: house method; background by a running median, noise by the median absolute deviation (Rousseeuw & Croux 1993).
 * @param pixels the photograph or a part of it
 * @param corners of the gap, in the points of `pixels`
 * @example measureStringCover(pixels, corners).quality // 'clear'
 */
export function measureStringCover(pixels: Pixels, corners: Corners): StringCover {
	const widthPx = Math.min(Math.hypot(...between(corners[0], corners[1])), Math.hypot(...between(corners[3], corners[2])));
	if (!isConvex(corners) || widthPx < 16)
		return { ...NOTHING, faults: [isConvex(corners) ? 'small' : 'corners'], quality: 'unusable', seenAt: [] };
	const gap = layOut(pixels, corners);
	const rest = overBackground(gap);
	const noise = Math.max(0.3, noiseOf(rest));
	const limitOf = (eye: number) => Math.max(LEAST_LEVELS, eye * noise);
	const seen = strandsIn(gap, rest, limitOf(EYES.usual));
	const [strict, loose] = [strandsIn(gap, rest, limitOf(EYES.strict)), strandsIn(gap, rest, limitOf(EYES.loose))];
	const limit = limitOf(EYES.usual);
	const { quality, faults } = judged({ widthPx, contrast: gap.contrast, limit, noise, ...seen });
	return {
		coveragePct: seen.coveragePct,
		lowPct: Math.min(seen.coveragePct, strict.coveragePct),
		highPct: Math.max(seen.coveragePct, loose.coveragePct),
		...crossings(gap, seen.strands, corners),
		quality,
		faults,
		limit,
		contrast: gap.contrast
	};
}

const NOTHING = { coveragePct: 0, lowPct: 0, highPct: 0, count: 0, countLow: 0, countHigh: 0, limit: 0, contrast: 0 };
const between = (a: Point, b: Point): [number, number] => [b[0] - a[0], b[1] - a[1]];

/** Whether the corners run round once, clockwise on a picture whose y grows downwards. */
function isConvex(corners: Corners): boolean {
	return corners.every((p, i) => {
		const [q, r] = [nth(corners, (i + 1) % 4), nth(corners, (i + 2) % 4)];
		const [[ax, ay], [bx, by]] = [between(p, q), between(q, r)];
		return ax * by - ay * bx > 0;
	});
}

/** What is left of each column when its background is taken off. */
function overBackground({ columns, rows, levels }: Gap): Float32Array {
	const reach = Math.max(15, Math.round(rows / 8));
	const rest = new Float32Array(levels.length);
	const column = new Float32Array(rows);
	for (let c = 0; c < columns; c++) {
		for (let r = 0; r < rows; r++) column[r] = nth(levels, r * columns + c);
		const ground = runningMedian(column, reach);
		for (let r = 0; r < rows; r++) rest[r * columns + c] = nth(column, r) - nth(ground, r);
	}
	return rest;
}

/** Standard deviation of the background, by the median of what deviates: strands are few and do not move it. */
function noiseOf(rest: Float32Array): number {
	const every = Math.max(1, Math.floor(rest.length / 40_000));
	const sizes: number[] = [];
	for (let i = 0; i < rest.length; i += every) sizes.push(Math.abs(nth(rest, i)));
	sizes.sort((a, b) => a - b);
	return 1.4826 * (sizes[Math.floor(sizes.length / 2)] ?? 0);
}

type Seen = { strands: Patch[]; coveragePct: number; dustPct: number };

function strandsIn(gap: Gap, rest: Float32Array, limit: number): Seen {
	const { columns, rows, rowWidths } = gap;
	const own = new Uint8Array(rest.length);
	// Strands glint lighter or lie darker than what is behind them: both stand out.
	for (let i = 0; i < rest.length; i++) own[i] = Number(Math.abs(nth(rest, i)) > limit);
	const mask = bridged(own, columns, Math.max(1, Math.round(columns * BRIDGED)));
	const strands = patchesOf(mask, columns).filter((p) => p.lastColumn - p.firstColumn + 1 >= STRAND_REACH * columns);
	const total = columns * sum(rowWidths);
	// A point that is half filament stands out half as far: edges and hairs count for the part they cover.
	const full = Math.max(gap.contrast, limit);
	const covers = (cell: number) =>
		own[cell] ? Math.min(1, Math.abs(nth(rest, cell)) / full) * nth(rowWidths, Math.floor(cell / columns)) : 0;
	const covered = sum(strands, (p) => sum(p.cells, (cell) => covers(cell)));
	let all = 0;
	for (let cell = 0; cell < columns * rows; cell++) all += covers(cell);
	return { strands, coveragePct: (100 * covered) / total, dustPct: (100 * (all - covered)) / total };
}

/** A mask with short gaps along its rows closed, or along the two rows beside: a hair fades, and slants. */
function bridged(mask: Uint8Array, columns: number, reach: number): Uint8Array {
	const closed = mask.slice();
	const rows = mask.length / columns;
	for (let r = 0; r < rows; r++) {
		let last = -Infinity;
		for (let c = 0; c < columns; c++) {
			const cell = r * columns + c;
			const on = mask[cell] || (r > 0 && mask[cell - columns]) || (r < rows - 1 && mask[cell + columns]);
			if (!on) continue;
			if (c - last > 1 && c - last <= reach) closed.fill(1, r * columns + last + 1, r * columns + c);
			last = c;
		}
	}
	return closed;
}

/** Rows that may lie between two parts of one strand: stairs of a slanted one. */
const ONE_STRAND = 3;

/** Strands along lines from top to bottom: how many there are, and where each was seen. */
function crossings({ columns, rows }: Gap, strands: readonly Patch[], corners: Corners) {
	const on = new Uint8Array(columns * rows);
	for (const { cells } of strands) for (const cell of cells) on[cell] = 1;
	const seenAt: Point[] = [];
	const counts = Array.from({ length: LINES }, (_, i) => {
		const c = Math.round(columns * (0.1 + (0.8 * i) / (LINES - 1)));
		const runs: { from: number; to: number }[] = [];
		for (let r = 0; r < rows; r++) {
			if (!on[r * columns + c]) continue;
			const last = runs.at(-1);
			if (last && r - last.to <= ONE_STRAND) last.to = r;
			else runs.push({ from: r, to: r });
		}
		for (const { from, to } of runs)
			seenAt.push(pointIn(corners, INSET + ((1 - 2 * INSET) * (c + 0.5)) / columns, ((from + to) / 2 + 0.5) / rows));
		return runs.length;
	}).sort((a, b) => a - b);
	const at = (share: number) => nth(counts, Math.round(share * (LINES - 1)));
	return { count: at(0.5), countLow: at(0.1), countHigh: at(0.9), seenAt };
}

/** How far a measure is to be trusted (limits: common practice, no source). */
function judged(of: { widthPx: number; contrast: number; limit: number; noise: number; coveragePct: number; dustPct: number }) {
	const faults: PhotoFault[] = [];
	let unusable = false;
	const say = (fault: PhotoFault, doubtful: boolean, hopeless: boolean) => {
		if (doubtful) faults.push(fault);
		if (hopeless) unusable = true;
	};
	say('small', of.widthPx < 150, of.widthPx < 60);
	// A hair is thinner than a point: it shows a part of the filament's own contrast.
	say('alike', of.contrast < 4 * of.limit, of.contrast < 1.5 * of.limit);
	say('noisy', of.noise > 5, of.noise > 12);
	say('dusty', of.dustPct > 0.15, of.dustPct > 3);
	const quality: StringCover['quality'] = unusable ? 'unusable' : faults.length ? 'doubtful' : 'clear';
	return { quality, faults };
}
