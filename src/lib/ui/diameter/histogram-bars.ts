import { extent, sum } from 'd3-array';
import type { LogSummary } from '$lib/core/record/gauge-log/summary';
import { countOutside } from '$lib/core/stations/diameter/outside';

export type Limits = { lowMm: number; highMm: number };
/** One bar of a histogram; outside when all it stands for is beyond a limit. */
export type Bar = { fromMm: number; toMm: number; count: number; outside: boolean };

/** More bars than these run together in a picture. */
const MOST_BARS = 80;

/** Bars of a log: bins put together until they can be told apart, the gauge's bias taken off. */
export function barsOfLog({ startMm, binMm, counts }: LogSummary['histogram'], biasMm: number, limits: Limits | null): Bar[] {
	const per = Math.max(1, Math.ceil(counts.length / MOST_BARS));
	return Array.from({ length: Math.ceil(counts.length / per) }, (_, i) => {
		const fromMm = startMm + (i * per - 0.5) * binMm - biasMm;
		const toMm = startMm + ((i + 1) * per - 0.5) * binMm - biasMm;
		const count = sum(counts.slice(i * per, (i + 1) * per));
		return { fromMm, toMm, count, outside: limits !== null && (fromMm > limits.highMm || toMm < limits.lowMm) };
	});
}

/** Few readings spread over many steps would be a comb: so many bars at most. */
const MOST_OF_READINGS = 16;

/** Bars of single readings: one for each value the display can show, or some of them together; none straddles the lower limit. */
export function barsOfReadings(valuesMm: readonly number[], stepMm: number, limits: Limits | null): Bar[] {
	const [low, high] = extent(valuesMm);
	if (low === undefined || high === undefined) return [];
	const per = Math.max(1, Math.ceil((high - low) / stepMm / MOST_OF_READINGS));
	const widthMm = per * stepMm;
	const originMm = (limits?.lowMm ?? low) - stepMm / 2;
	const bars = new Map<number, number[]>();
	for (const value of valuesMm) {
		// Binary dust does not move a value on an edge.
		const bar = Math.floor((value - originMm) / widthMm + 1e-6);
		bars.set(bar, [...(bars.get(bar) ?? []), value]);
	}
	return [...bars]
		.sort(([a], [b]) => a - b)
		.map(([bar, values]) => ({
			fromMm: originMm + bar * widthMm,
			toMm: originMm + (bar + 1) * widthMm,
			count: values.length,
			outside: limits !== null && countOutside(values, limits.lowMm, limits.highMm, stepMm) === values.length
		}));
}

/** The bars with one of nothing wherever none is, and one at each end: the chart takes the width of a bar from its neighbour. */
export function barsToDraw(bars: readonly Bar[]): Bar[] {
	const [first, last] = [bars[0], bars.at(-1)];
	if (!first || !last) return [];
	const widthMm = first.toMm - first.fromMm;
	const at = (fromMm: number) => Math.round((fromMm - first.fromMm) / widthMm);
	const byPlace = new Map(bars.map((b) => [at(b.fromMm), b]));
	return Array.from({ length: at(last.fromMm) + 3 }, (_, i) => {
		const fromMm = first.fromMm + (i - 1) * widthMm;
		return byPlace.get(i - 1) ?? { fromMm, toMm: fromMm + widthMm, count: 0, outside: false };
	});
}
