import { v7 } from 'uuid';
import { readReading } from '$lib/core/joins/read-reading';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { claim } from '../../base/db/schema';
import { refusedReading } from '$lib/schemas/refused-reading';

/** What maker or shop can state, in canonical units. */
export const CLAIM_QUANTITIES = [
	'diameter',
	'diameterTolerance',
	'nozzleLowC',
	'nozzleHighC',
	'netMassG',
	'hardnessA',
	'hardnessD',
	'timesAsStrong'
] as const;

export type ClaimRow = typeof claim.$inferInsert;
export type ClaimTexts = {
	labelNozzle?: string;
	hardness?: string;
	timesAsStrong?: string;
	nominalDiameter?: string;
	labelTolerance?: string;
	listingTolerance?: string;
};

/** Believable limits of stated figures, in canonical units. */
const NOZZLE_C = { low: 120, high: 500 };
const TOLERANCE_MM = { low: 0.001, high: 0.5 };

type Keep = (quantity: string, source: 'label' | 'listing', text: string, value: number, unit: string) => void;

/**
 * Claims as typed into rows, errors at their fields. A temperature range "210-230 C" becomes its two ends.
 * A tolerance may carry its sign (+/-0.02).
 */
export function readClaims(filamentId: string, texts: ClaimTexts, now: number): { rows: ClaimRow[]; errors: FieldError[] } {
	const rows: ClaimRow[] = [];
	const keep: Keep = (quantity, source, text, value, unit) =>
		void rows.push({ id: v7(), filamentId, quantity, source, value, typedText: text, typedUnit: unit, createdAt: now });
	const errors = [
		readDiameter(texts.nominalDiameter, keep),
		readTolerance('labelTolerance', 'label', texts.labelTolerance, keep),
		readTolerance('listingTolerance', 'listing', texts.listingTolerance, keep),
		readNozzle(texts.labelNozzle, keep),
		readHardness(texts.hardness, keep),
		readTimes(texts.timesAsStrong, keep)
	].filter((error) => error !== null);
	return { rows, errors };
}

function readDiameter(text: string | undefined, keep: Keep): FieldError | null {
	if (!text) return null;
	const read = readReading('diameter', text);
	if (!read.ok) return refusedReading('nominalDiameter', read);
	keep('diameter', 'label', text, read.value, read.typedUnit);
	return null;
}

function readTolerance(path: string, source: 'label' | 'listing', text: string | undefined, keep: Keep): FieldError | null {
	if (!text) return null;
	const read = readQuantityText(text.replace(/^(\+\/-|±|\+-)\s*/, ''), 'length');
	if (!read.ok)
		return read.reason === 'unknownUnit'
			? fieldError(path, 'unknownUnit', { allowed: read.allowed.join(', ') })
			: fieldError(path, 'notATolerance');
	if (read.value < TOLERANCE_MM.low || read.value > TOLERANCE_MM.high) return fieldError(path, 'toleranceOutOfRange');
	keep('diameterTolerance', source, text, read.value, read.typedUnit);
	return null;
}

function readNozzle(text: string | undefined, keep: Keep): FieldError | null {
	if (!text) return null;
	const ends = text.split(/\s*(?:-|–|to|\.\.)\s*/).filter((end) => end !== '');
	const unit = /f$/i.test(text.trim()) ? 'F' : 'C';
	const read = ends.map((end) => readQuantityText(end, 'temperature', unit));
	const values = read.flatMap((r) => (r.ok ? [r.value] : []));
	if (ends.length === 0 || ends.length > 2 || values.length !== read.length) return fieldError('labelNozzle', 'notANozzleTemperature');
	if (values.some((v) => v < NOZZLE_C.low || v > NOZZLE_C.high)) return fieldError('labelNozzle', 'nozzleOutOfRange', NOZZLE_C);
	keep('nozzleLowC', 'label', text, Math.min(...values), unit);
	keep('nozzleHighC', 'label', text, Math.max(...values), unit);
	return null;
}

function readHardness(text: string | undefined, keep: Keep): FieldError | null {
	if (!text) return null;
	// A and D are two instruments (ISO 868): the letter is part of the figure, and neither is turned into the other.
	const [, number, scale] = /^(?:shore\s*)?(\d{1,3}(?:[.,]\d)?)\s*(?:shore\s*)?([ad])$/i.exec(text.trim()) ?? [];
	if (scale === undefined) return fieldError('hardness', 'notAHardness');
	const value = Number(number?.replace(',', '.'));
	if (value < 1 || value > 100) return fieldError('hardness', 'sizeOutOfRange', { low: 1, high: 100 });
	keep(`hardness${scale.toUpperCase()}`, 'label', text, value, scale.toUpperCase());
	return null;
}

/** "3", "3 x", "2.5 times". */
function readTimes(text: string | undefined, keep: Keep): FieldError | null {
	if (!text) return null;
	const [, number] = /^(\d{1,3}(?:[.,]\d{1,2})?)\s*(?:x|×|times)?$/i.exec(text.trim()) ?? [];
	const value = Number(number?.replace(',', '.'));
	if (number === undefined || value <= 0) return fieldError('timesAsStrong', 'notANumber');
	keep('timesAsStrong', 'label', text, value, '');
	return null;
}
