import { sum } from 'd3-array';
import type { GaugeLog } from './gauge-log';

/** Samples of a log that do not count, by their number from 0, both ends included. */
export type SampleRange = { from: number; to: number };

/**
 * Runs of samples that are left when ranges are taken out, in order. Ranges may overlap and reach beyond the log.
 * @param samples how many the log has
 * @example runsWithout(100, [{ from: 0, to: 9 }]) // [{ from: 10, to: 99 }]
 */
export function runsWithout(samples: number, ranges: readonly SampleRange[]): SampleRange[] {
	const runs: SampleRange[] = [];
	let next = 0;
	for (const { from, to } of [...ranges].sort((a, b) => a.from - b.from)) {
		if (from > next) runs.push({ from: next, to: Math.min(from, samples) - 1 });
		next = Math.max(next, to + 1);
	}
	if (next < samples) runs.push({ from: next, to: samples - 1 });
	return runs.filter((run) => run.to >= run.from);
}

/**
 * The log without ranges of its samples; every sample keeps its position. The log itself when nothing is left out.
 * @returns null when nothing would be left
 * @example withoutRanges(log, [{ from: 0, to: 99 }])?.along.length // 900
 */
export function withoutRanges(log: GaugeLog, ranges: readonly SampleRange[]): GaugeLog | null {
	if (ranges.length === 0) return log;
	const runs = runsWithout(log.along.length, ranges);
	if (runs.length === 0) return null;
	const [only] = runs;
	const pick = (channel: Float64Array) => joined(runs.map((run) => channel.subarray(run.from, run.to + 1)));
	const { position } = log;
	return {
		along: pick(log.along),
		across: log.across && pick(log.across),
		position:
			position.kind === 'listed'
				? { kind: 'listed', metres: pick(position.metres) }
				: runs.length === 1 && only
					? { ...position, startM: position.startM + only.from * position.stepM }
					: {
							kind: 'listed',
							metres: joined(
								runs.map(({ from, to }) =>
									Float64Array.from({ length: to - from + 1 }, (_, i) => position.startM + (from + i) * position.stepM)
								)
							)
						}
	};
}

function joined(parts: Float64Array[]): Float64Array {
	const all = new Float64Array(sum(parts, (part) => part.length));
	let at = 0;
	for (const part of parts) {
		all.set(part, at);
		at += part.length;
	}
	return all;
}
