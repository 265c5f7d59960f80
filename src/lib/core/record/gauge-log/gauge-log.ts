import { nth } from '../../kernel/lists/nth';

/** A gauge's log in memory: one diameter a sample, or two across each other, at even steps or at positions of their own. */
export type GaugeLog = {
	along: Float64Array;
	/** The second axis; null for a gauge of one. */
	across: Float64Array | null;
	position: LogPosition;
};

export type LogPosition = { kind: 'even'; startM: number; stepM: number } | { kind: 'listed'; metres: Float64Array };

/**
 * Where a sample lies on the strand, in metres.
 * @example positionAt({ kind: 'even', startM: 0, stepM: 0.01 }, 100) // 1
 */
export function positionAt(position: LogPosition, index: number): number {
	return position.kind === 'even' ? position.startM + index * position.stepM : nth(position.metres, index);
}

/**
 * Mean of the axes at a sample: what the cross-section is taken from.
 * @example diameterAt(log, 0) // 1.752
 */
export function diameterAt(log: GaugeLog, index: number): number {
	const along = nth(log.along, index);
	return log.across ? (along + nth(log.across, index)) / 2 : along;
}

/**
 * The first sample at or beyond a position.
 * @param metres along the strand
 * @example indexAt(log, 12.5) // 1250
 */
export function indexAt(log: GaugeLog, metres: number): number {
	const n = log.along.length;
	const { position } = log;
	if (position.kind === 'even') return Math.min(n, Math.max(0, Math.ceil((metres - position.startM) / position.stepM - 1e-9)));
	let [low, high] = [0, n];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (nth(position.metres, middle) < metres) low = middle + 1;
		else high = middle;
	}
	return low;
}
