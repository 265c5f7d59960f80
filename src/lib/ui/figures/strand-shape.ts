import type { FigureData } from '$lib/core/judging/finding/types';

type StrandData = Extract<FigureData, { kind: 'strand' }>;

export type StrandShape = {
	/** Closed path of the ribbon; empty without readings. */
	ribbon: string;
	/** y of the outer and inner limit lines at both edges, top to bottom; empty without a tolerance. */
	limits: { y: number; outer: boolean }[];
	/** x where the measured part ends. */
	measuredTo: number;
	/** Places with a reading beyond a limit, as x and y of the edge. */
	outside: { x: number; y: number }[];
};

/** Half the drawn thickness of a strand exactly on its nominal, as a share of the half height. */
const BODY = 0.62;

/**
 * The strand as a ribbon: thickness exaggerated so that the stated tolerance is the distance from body to limit line.
 * The upper edge shows the largest, the lower edge the smallest diameter of each place.
 */
export function strandShape(data: StrandData, places: number, width: number, height: number): StrandShape {
	const middle = height / 2;
	const tolerance = data.toleranceMm ?? 0.05;
	// The limit stands at 85 % of the half height, so that what is beyond it still shows.
	const perMm = (middle * (0.85 - BODY)) / tolerance;
	const half = (mm: number) => Math.min(middle, Math.max(middle * 0.1, middle * BODY + (mm - data.nominalMm) * perMm));
	const total = Math.max(places, data.places.length, 1);
	const xOf = (i: number) => (total === 1 ? width / 2 : (i / (total - 1)) * width);
	const points = data.places.map((p, i) => ({ x: xOf(i), top: middle - half(p.highMm), bottom: middle + half(p.lowMm), place: p }));
	const [only] = points;
	const shown =
		points.length === 1 && only
			? [
					{ ...only, x: Math.max(0, only.x - 4) },
					{ ...only, x: Math.min(width, only.x + 4) }
				]
			: points;
	const forth = shown.map((p) => `${p.x.toFixed(1)},${p.top.toFixed(1)}`);
	const back = [...shown].reverse().map((p) => `${p.x.toFixed(1)},${p.bottom.toFixed(1)}`);
	const limits =
		data.toleranceMm === null
			? []
			: [1, -1].flatMap((side) => [
					{ y: middle - side * half(data.nominalMm + tolerance), outer: true },
					{ y: middle - side * half(data.nominalMm - tolerance), outer: false }
				]);
	const over = (mm: number) => Math.abs(mm - data.nominalMm) > tolerance + 1e-9;
	return {
		ribbon: forth.length ? `M${forth.join('L')}L${back.join('L')}Z` : '',
		limits,
		measuredTo: shown.at(-1)?.x ?? 0,
		outside:
			data.toleranceMm === null
				? []
				: points.flatMap((p) => [
						...(over(p.place.highMm) ? [{ x: p.x, y: p.top }] : []),
						...(over(p.place.lowMm) ? [{ x: p.x, y: p.bottom }] : [])
					])
	};
}
