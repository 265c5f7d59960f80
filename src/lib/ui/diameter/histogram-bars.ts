import type { LogSummary } from '$lib/core/diameter/log/summary';
import { countOutside } from '$lib/core/diameter/outside';

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
		const count = counts.slice(i * per, (i + 1) * per).reduce((a, b) => a + b, 0);
		return { fromMm, toMm, count, outside: limits !== null && (fromMm > limits.highMm || toMm < limits.lowMm) };
	});
}

/** Bars of single readings: one for each value that was shown, as wide as a step of the display. */
export function barsOfReadings(valuesMm: readonly number[], stepMm: number, limits: Limits | null): Bar[] {
	const counts = new Map<number, number>();
	for (const value of valuesMm) {
		// A tenth of a micrometre: binary dust does not make two bars of one value.
		const key = Math.round(value * 1e4);
		counts.set(key, (counts.get(key) ?? 0) + 1);
	}
	return [...counts]
		.sort(([a], [b]) => a - b)
		.map(([key, count]) => {
			const value = key / 1e4;
			const outside = limits !== null && countOutside([value], limits.lowMm, limits.highMm, stepMm) > 0;
			return { fromMm: value - stepMm / 2, toMm: value + stepMm / 2, count, outside };
		});
}
