import { nth } from '../../kernel/lists/nth';
import { indexAt, positionAt, type GaugeLog } from './gauge-log';

/** Smallest and largest diameter of each column of a picture: whatever the zoom, no bump is lost. */
export type Envelope = {
	fromM: number;
	toM: number;
	columns: { positionM: number; lowMm: number; highMm: number; samples: number }[];
};

/**
 * The log between two positions as columns of equal length, with the smallest and the largest of both axes in each; columns without a
 * sample are left out. Zoomed in far enough each column is one reading.
 * Source: min/max decimation (common practice, no source).
 * @param columns at most so many columns are given
 * @example envelope(log, 0, 330, 600).columns.length // 600
 */
export function envelope(log: GaugeLog, fromM: number, toM: number, columns: number): Envelope {
	const first = indexAt(log, fromM);
	const end = Math.min(log.along.length, indexAt(log, toM) + 1);
	const width = (toM - fromM) / columns || 1;
	const made: Envelope['columns'] = [];
	let index = first;
	for (let column = 0; column < columns && index < end; column++) {
		const limit = column === columns - 1 ? end : Math.min(end, Math.max(index, indexAt(log, fromM + (column + 1) * width)));
		if (limit === index) continue;
		made.push({ ...extremes(log, index, limit), positionM: positionAt(log.position, (index + limit - 1) >> 1), samples: limit - index });
		index = limit;
	}
	return { fromM, toM, columns: made };
}

function extremes(log: GaugeLog, from: number, to: number): { lowMm: number; highMm: number } {
	let lowMm = Infinity;
	let highMm = -Infinity;
	for (const axis of log.across ? [log.along, log.across] : [log.along])
		for (let i = from; i < to; i++) {
			const value = nth(axis, i);
			if (value < lowMm) lowMm = value;
			if (value > highMm) highMm = value;
		}
	return { lowMm, highMm };
}
