import type { AccountPoint } from '$lib/core/finding/types';

export type AccountShape = {
	/** The gross mass as steps: filament leaves it in jumps, water hardly shows. */
	mass: string;
	/** Water against the chosen state, and its 95 % band. */
	water: string;
	band: string;
	zeroY: number;
	points: { x: number; y: number; point: AccountPoint }[];
};

type Box = { width: number; massTop: number; massHeight: number; waterTop: number; waterHeight: number; inset: number };

/**
 * Lines of the account figure. Mass runs over its own range, water over a fixed scale; what lies beyond the scale is drawn at its end.
 */
export function accountShape(points: readonly AccountPoint[], scale: { low: number; high: number }, box: Box): AccountShape {
	const first = points[0]?.at ?? 0;
	const span = (points.at(-1)?.at ?? 0) - first || 1;
	const masses = points.map((p) => p.grossG);
	const [least, most] = [Math.min(...masses), Math.max(...masses)];
	const x = (p: AccountPoint) => box.inset + ((p.at - first) / span) * (box.width - 2 * box.inset);
	const massY = (g: number) => box.massTop + (most === least ? 0.5 : (most - g) / (most - least)) * box.massHeight;
	const waterY = (pct: number) =>
		box.waterTop + (1 - Math.min(1, Math.max(0, (pct - scale.low) / (scale.high - scale.low)))) * box.waterHeight;
	const line = (at: (p: AccountPoint) => number) => points.map((p, i) => `${i ? 'L' : 'M'}${x(p).toFixed(1)},${at(p).toFixed(1)}`).join('');
	const back = [...points].reverse().map((p) => `L${x(p).toFixed(1)},${waterY(p.lowPct).toFixed(1)}`);
	return {
		mass: points
			.map((p, i) => (i ? `H${x(p).toFixed(1)}V${massY(p.grossG).toFixed(1)}` : `M${x(p).toFixed(1)},${massY(p.grossG).toFixed(1)}`))
			.join(''),
		water: line((p) => waterY(p.pct)),
		band: points.length ? `${line((p) => waterY(p.highPct))}${back.join('')}Z` : '',
		zeroY: waterY(0),
		points: points.map((point) => ({ x: x(point), y: waterY(point.pct), point }))
	};
}
