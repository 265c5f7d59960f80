import { v7 } from 'uuid';
import { readReading } from '$lib/core/readings/read-reading';
import { readQuantityText } from '$lib/core/units/quantity-text';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import type { claim } from '../db/schema';
import { refusedReading } from '$lib/schemas/refused-reading';

/** What maker or shop can state, in canonical units. */
export const CLAIM_QUANTITIES = [
	'diameter',
	'diameterTolerance',
	'nozzleLowC',
	'nozzleHighC',
	'netMassG',
	'hardnessA',
	'hardnessD'
] as const;

export type ClaimRow = typeof claim.$inferInsert;
export type ClaimTexts = {
	labelNozzle?: string;
	hardness?: string;
	nominalDiameter?: string;
	labelTolerance?: string;
	listingTolerance?: string;
};

/** Believable limits of stated figures, in canonical units. */
const NOZZLE_C = { low: 120, high: 500 };
const TOLERANCE_MM = { low: 0.001, high: 0.5 };

/**
 * Claims as typed into rows, errors at their fields. A temperature range "210-230 C" becomes its two ends.
 * A tolerance may carry its sign (+/-0.02).
 */
export function readClaims(filamentId: string, texts: ClaimTexts, now: number): { rows: ClaimRow[]; errors: FieldError[] } {
	const rows: ClaimRow[] = [];
	const errors: FieldError[] = [];
	const keep = (quantity: string, source: 'label' | 'listing', text: string, value: number, unit: string) =>
		rows.push({ id: v7(), filamentId, quantity, source, value, typedText: text, typedUnit: unit, createdAt: now });

	if (texts.nominalDiameter) {
		const read = readReading('diameter', texts.nominalDiameter);
		if (read.ok) keep('diameter', 'label', texts.nominalDiameter, read.value, read.typedUnit);
		else errors.push(refusedReading('nominalDiameter', read));
	}
	for (const [path, source] of [
		['labelTolerance', 'label'],
		['listingTolerance', 'listing']
	] as const) {
		const text = texts[path];
		if (!text) continue;
		const read = readQuantityText(text.replace(/^(\+\/-|±|\+-)\s*/, ''), 'length');
		if (!read.ok)
			errors.push(
				read.reason === 'unknownUnit'
					? fieldError(path, 'unknownUnit', { allowed: read.allowed.join(', ') })
					: fieldError(path, 'notATolerance')
			);
		else if (read.value < TOLERANCE_MM.low || read.value > TOLERANCE_MM.high) errors.push(fieldError(path, 'toleranceOutOfRange'));
		else keep('diameterTolerance', source, text, read.value, read.typedUnit);
	}
	if (texts.labelNozzle) {
		const ends = texts.labelNozzle.split(/\s*(?:-|–|to|\.\.)\s*/).filter((end) => end !== '');
		const unit = /f$/i.test(texts.labelNozzle.trim()) ? 'F' : 'C';
		const read = ends.map((end) => readQuantityText(end, 'temperature', unit));
		const values = read.flatMap((r) => (r.ok ? [r.value] : []));
		if (ends.length === 0 || ends.length > 2 || values.length !== read.length)
			errors.push(fieldError('labelNozzle', 'notANozzleTemperature'));
		else if (values.some((v) => v < NOZZLE_C.low || v > NOZZLE_C.high))
			errors.push(fieldError('labelNozzle', 'nozzleOutOfRange', NOZZLE_C));
		else {
			keep('nozzleLowC', 'label', texts.labelNozzle, Math.min(...values), unit);
			keep('nozzleHighC', 'label', texts.labelNozzle, Math.max(...values), unit);
		}
	}
	if (texts.hardness) {
		// A and D are two instruments (ISO 868): the letter is part of the figure, and neither is turned into the other.
		const [, number, scale] = /^(?:shore\s*)?(\d{1,3}(?:[.,]\d)?)\s*(?:shore\s*)?([ad])$/i.exec(texts.hardness.trim()) ?? [];
		const value = Number(number?.replace(',', '.'));
		if (scale === undefined) errors.push(fieldError('hardness', 'notAHardness'));
		else if (value < 1 || value > 100) errors.push(fieldError('hardness', 'sizeOutOfRange', { low: 1, high: 100 }));
		else keep(`hardness${scale.toUpperCase()}`, 'label', texts.hardness, value, scale.toUpperCase());
	}
	return { rows, errors };
}
