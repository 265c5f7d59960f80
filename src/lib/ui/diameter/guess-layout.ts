import { nth } from '$lib/core/kernel/lists/nth';
import Papa from 'papaparse';
import type { LogLayout } from '$lib/schemas/gauge-log';

export type Preview = { rows: string[][]; layout: LogLayout };

const number = (text: string | undefined, decimal: '.' | ',') => {
	const plain = decimal === ',' ? (text ?? '').trim().replace(',', '.') : (text ?? '').trim();
	return plain === '' ? NaN : Number(plain);
};

/**
 * The first rows of a gauge's file, and how it seems to be laid out: what delimits its columns, how many rows are headings, which columns
 * hold diameters (values a strand can have, in mm, micrometres or inches) and which one positions (values that only rise).
 * A guess for the tester to look over, never taken unseen.
 */
export function guessLayout(head: string): Preview {
	const lines = head.split(/\r?\n/).slice(0, 60);
	const delimiter = guessDelimiter(lines);
	const decimal = delimiter !== ',' && lines.some((l) => /\d,\d/.test(l)) ? ',' : '.';
	const rows = Papa.parse<string[]>(lines.join('\n'), { delimiter, skipEmptyLines: true }).data;
	const headerRows = Math.max(
		0,
		rows.findIndex((row) => row.some((cell) => Number.isFinite(number(cell, decimal))))
	);
	const body = rows.slice(headerRows, headerRows + 40);
	const columns = Math.max(0, ...body.map((row) => row.length));
	const values = Array.from({ length: columns }, (_, c) => body.map((row) => number(row[c], decimal)));
	const unit = (['mm', 'um', 'in'] as const).find((u) => values.some((v) => isDiameter(v, u))) ?? 'mm';
	const diameters = values.flatMap((v, c) => (isDiameter(v, unit) ? [c] : []));
	const along = diameters[0] ?? 0;
	const across = diameters.find((c) => c !== along) ?? null;
	const rising = values.findIndex(
		(v, c) => c !== along && c !== across && v.length > 2 && mostly(v, (x, i) => i === 0 || x > nth(v, i - 1))
	);
	const heading = (rows[headerRows - 1]?.[rising] ?? '').toLowerCase();
	const place: LogLayout['place'] =
		rising < 0
			? { kind: 'step', stepM: 0.01 }
			: /time|\bs\b|\bms\b|sec/.test(heading)
				? { kind: 'time', column: rising, perSecond: /\bms\b/.test(heading) ? 1000 : 1, speedMPerS: 1 }
				: { kind: 'position', column: rising, perMetre: /\bmm\b/.test(heading) ? 1000 : 1 };
	return { rows: rows.slice(0, 8), layout: { headerRows, delimiter, decimal, unit, along, across, place } };
}

/** What a strand of 1.75 or 2.85 mm can be, in each unit. */
const LIKELY = { mm: [1.4, 3.3], um: [1400, 3300], in: [0.055, 0.13] } as const;

/** Most of a column is enough to tell what it is: a fault in it is to be named, not to hide the column. */
const MOSTLY = 0.8;
const mostly = (values: readonly number[], holds: (v: number, i: number) => boolean) =>
	values.length > 0 && values.filter(holds).length >= MOSTLY * values.length;

function isDiameter(values: readonly number[], unit: keyof typeof LIKELY): boolean {
	const [low, high] = LIKELY[unit];
	return mostly(values, (v) => v >= low && v <= high);
}

function guessDelimiter(lines: readonly string[]): LogLayout['delimiter'] {
	const body = lines.filter((l) => /^\s*[-+]?\d/.test(l)).slice(0, 20);
	// The one that cuts every line into the same number of columns, the most of them.
	const cuts = ([';', '\t', ',', ' '] as const).map((d) => ({ d, counts: body.map((l) => l.split(d).length) }));
	const even = cuts.filter(({ counts }) => counts.length > 0 && (counts[0] ?? 1) > 1 && new Set(counts).size === 1);
	return even[0]?.d ?? ',';
}
