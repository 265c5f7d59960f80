import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { AccountPoint } from '$lib/core/judging/finding/types';

export type AccountShape = {
	/** The gross mass as steps: filament leaves it in jumps, water hardly shows. */
	mass: string;
	/** Water against the chosen state, and its 95 % band. */
	water: string;
	band: string;
	zeroY: number;
};

type Box = { width: number; massTop: number; massHeight: number; waterTop: number; waterHeight: number; inset: number };

/**
 * Lines of the account figure. Mass runs over its own range, water over a fixed scale; what lies beyond the scale is drawn at its end.
 */
export function accountShape(points: readonly AccountPoint[], scale: { low: number; high: number }, box: Box): AccountShape {
	const first = points[0]?.at ?? 0;
	const time = scaleLinear([first, points.at(-1)?.at ?? first], [box.inset, box.width - box.inset]);
	const x = (p: AccountPoint) => time(p.at);
	const [least = 0, most = 0] = extent(points, (p) => p.grossG);
	const massY = scaleLinear([most, least], [box.massTop, box.massTop + box.massHeight]);
	const waterY = scaleLinear([scale.low, scale.high], [box.waterTop + box.waterHeight, box.waterTop]).clamp(true);
	const line = (at: (p: AccountPoint) => number) => points.map((p, i) => `${i ? 'L' : 'M'}${x(p).toFixed(1)},${at(p).toFixed(1)}`).join('');
	const back = [...points].reverse().map((p) => `L${x(p).toFixed(1)},${waterY(p.lowPct).toFixed(1)}`);
	return {
		mass: points
			.map((p, i) => (i ? `H${x(p).toFixed(1)}V${massY(p.grossG).toFixed(1)}` : `M${x(p).toFixed(1)},${massY(p.grossG).toFixed(1)}`))
			.join(''),
		water: line((p) => waterY(p.pct)),
		band: points.length ? `${line((p) => waterY(p.highPct))}${back.join('')}Z` : '',
		zeroY: waterY(0)
	};
}
