import Papa from 'papaparse';
import { LogReader, type LogRowError } from '$lib/core/record/gauge-log/read-log';
import type { LogLayout } from '$lib/schemas/gauge-log';

/** One reading as it would have been typed. */
export type PastedReading = { typed: string; place: number; direction: 'along' | 'across'; positionM: number | null };

/** More than this is a log, not a list of readings. */
export const MOST_PASTED = 500;

/**
 * Readings from a pasted table, a row a place: checked like a gauge's file, so that a fault is named by its row and nothing is taken.
 * @example pastedReadings('1.75\n1.76', layout) // two readings, places 0 and 1
 */
export function pastedReadings(
	text: string,
	layout: LogLayout
): { ok: true; readings: PastedReading[] } | { ok: false; errors: LogRowError[] } {
	const reader = new LogReader(layout);
	reader.push(text);
	const read = reader.finish();
	if (!read.ok) return read;
	const rows = Papa.parse<string[]>(text.trimEnd(), { delimiter: layout.delimiter })
		.data.slice(layout.headerRows)
		.filter((row) => row.some((cell) => cell.trim() !== ''));
	const { metres } = reader;
	const readings = rows.flatMap((row, place): PastedReading[] => {
		const positionM = metres?.[place] ?? null;
		const typed = (column: number) => `${(row[column] ?? '').trim()} ${layout.unit}`;
		return [
			{ typed: typed(layout.along), place, direction: 'along', positionM },
			...(layout.across === null ? [] : [{ typed: typed(layout.across), place, direction: 'across' as const, positionM }])
		];
	});
	return { ok: true, readings };
}
