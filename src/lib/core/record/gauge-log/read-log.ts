import { nth } from '../../kernel/lists/nth';
import Papa from 'papaparse';
import type { GaugeLog, LogPosition } from './gauge-log';

/** How a gauge's file is laid out; columns count from 0. */
export type ReadLayout = {
	headerRows: number;
	delimiter: string;
	decimal: '.' | ',';
	unit: 'mm' | 'um' | 'in';
	along: number;
	across: number | null;
	place:
		| { kind: 'step'; stepM: number }
		| { kind: 'position'; column: number; perMetre: number }
		| { kind: 'time'; column: number; perSecond: number; speedMPerS: number };
};

/** Row counts from 1 in the file, as a text editor shows it. */
export type LogRowError = { row: number; code: 'notANumber' | 'outOfRange' | 'missing' | 'backwards'; text: string };

/** Millimetres; divided where that is exact and a product would leave binary dust. */
const MM = { mm: (v: number) => v, um: (v: number) => v / 1000, in: (v: number) => v * 25.4 };
const RANGE_MM = { low: 0.5, high: 5 };
/** Errors after which nothing more is looked at. */
const MOST_ERRORS = 20;
/** Positions within this share of a step of where they belong are even but for rounding. */
const EVEN = 0.5;

/**
 * Reads a gauge's file piece by piece, as it arrives; lines may be cut anywhere. Nothing is taken from a file with an error.
 * @example [...pieces].reduce((reader, text) => (reader.push(text), reader), new LogReader(layout)).finish().ok // true
 */
export class LogReader {
	#layout: ReadLayout;
	#rest = '';
	#row = 0;
	#along = new Growing();
	#across: Growing | null;
	#place: Growing | null;
	#errors: LogRowError[] = [];

	constructor(layout: ReadLayout) {
		this.#layout = layout;
		this.#across = layout.across === null ? null : new Growing();
		this.#place = layout.place.kind === 'step' ? null : new Growing();
	}

	/** Whether there is any use in going on. */
	get failed(): boolean {
		return this.#errors.length >= MOST_ERRORS;
	}

	/** Positions as they stand in the file, one a sample; null for even steps. */
	get metres(): Float64Array | null {
		return this.#place?.values() ?? null;
	}

	push(text: string): void {
		if (this.failed) return;
		const whole = this.#rest + text;
		const end = whole.lastIndexOf('\n');
		this.#rest = whole.slice(end + 1);
		if (end >= 0) this.#take(whole.slice(0, end));
	}

	/** What was read so far, for a picture while a gauge still measures; a line that is not whole yet is not in it. */
	soFar(): GaugeLog {
		return { along: this.#along.values(), across: this.#across?.values() ?? null, position: this.#position() };
	}

	/** @returns the log, or the errors by row; an empty file is an error of row 1 */
	finish(): { ok: true; log: GaugeLog } | { ok: false; errors: LogRowError[] } {
		if (this.#rest.trim() !== '') this.#take(this.#rest);
		this.#rest = '';
		if (this.#errors.length === 0 && this.#along.length === 0) this.#errors.push({ row: 1, code: 'missing', text: '' });
		if (this.#errors.length > 0) return { ok: false, errors: this.#errors.slice(0, MOST_ERRORS) };
		return { ok: true, log: this.soFar() };
	}

	#take(lines: string): void {
		const { headerRows, delimiter, decimal, along, across, unit } = this.#layout;
		const rows = Papa.parse<string[]>(lines, { delimiter, fastMode: true, newline: lines.includes('\r\n') ? '\r\n' : '\n' }).data;
		const number = (text: string) => Number(decimal === ',' ? text.replace(',', '.') : text);
		for (const cells of rows) {
			this.#row++;
			if (this.#row <= headerRows || (cells.length === 1 && nth(cells, 0).trim() === '')) continue;
			const diameter = this.#diameter(cells[along], number, MM[unit]);
			const other = across === null ? null : this.#diameter(cells[across], number, MM[unit]);
			this.#takePlace(cells, number);
			if (this.failed) return;
			this.#along.push(diameter);
			if (other !== null) this.#across?.push(other);
		}
	}

	#takePlace(cells: readonly string[], number: (text: string) => number): void {
		const { place } = this.#layout;
		if (place.kind === 'step') return;
		const text = cells[place.column];
		const raw = text === undefined || text.trim() === '' ? NaN : number(text);
		const metres = place.kind === 'position' ? raw / place.perMetre : (raw / place.perSecond) * place.speedMPerS;
		if (!Number.isFinite(metres)) this.#error(text === undefined ? 'missing' : 'notANumber', text ?? '');
		else if (metres < (this.#place?.last ?? -Infinity)) this.#error('backwards', text ?? '');
		else this.#place?.push(metres);
	}

	#diameter(text: string | undefined, number: (text: string) => number, toMm: (value: number) => number): number {
		const value = text === undefined || text.trim() === '' ? NaN : toMm(number(text));
		if (!Number.isFinite(value)) this.#error(text === undefined ? 'missing' : 'notANumber', text ?? '');
		else if (value < RANGE_MM.low || value > RANGE_MM.high) this.#error('outOfRange', text ?? '');
		return value;
	}

	#error(code: LogRowError['code'], text: string): void {
		this.#errors.push({ row: this.#row, code, text: text.slice(0, 40) });
	}

	#position(): LogPosition {
		const { place } = this.#layout;
		if (place.kind === 'step') return { kind: 'even', startM: 0, stepM: place.stepM };
		const metres = this.#place?.values() ?? new Float64Array();
		const n = metres.length;
		const stepM = n > 1 ? (nth(metres, n - 1) - nth(metres, 0)) / (n - 1) : 0;
		// A gauge that samples by the clock or by a wheel is even but for rounding: then the rhythm can be looked for.
		const even = stepM > 0 && metres.every((m, i) => Math.abs(m - (nth(metres, 0) + i * stepM)) <= EVEN * stepM);
		return even ? { kind: 'even', startM: nth(metres, 0), stepM } : { kind: 'listed', metres };
	}
}

/** Numbers as they come, without knowing how many. */
class Growing {
	#held = new Float64Array(1024);
	length = 0;

	push(value: number): void {
		if (this.length === this.#held.length) {
			const wider = new Float64Array(this.#held.length * 2);
			wider.set(this.#held);
			this.#held = wider;
		}
		this.#held[this.length++] = value;
	}

	get last(): number | null {
		return this.length === 0 ? null : nth(this.#held, this.length - 1);
	}

	values(): Float64Array {
		return this.#held.slice(0, this.length);
	}
}
