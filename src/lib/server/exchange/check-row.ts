import { z } from 'zod';
import { settings } from '$lib/schemas/attempt';
import { colourHex, words } from '$lib/schemas/common';
import type { FieldError } from '$lib/schemas/field-error';
import { read } from '$lib/schemas/read';
import { refusedReading } from '../readings/words';
import { readTyped } from './complete-row';
import type { RecordTable } from './tables';

type Row = Record<string, unknown>;

/**
 * What the cells of a row must say together, as the API's own bodies demand it: a file is no way around a rule.
 * Each error names its column under `path`.
 */
export function checkRow(table: RecordTable, row: Row, path: string): FieldError[] {
	switch (table.name) {
		case 'readings':
			return checkReading(row, path);
		case 'attempts':
			return checkAttempt(row, path);
		case 'amendments':
			return checkAmendment(row, path);
		default:
			return [];
	}
}

/** Relative difference that a value and its text may have: the last digit of twelve. */
const SAME = 1e-9;

/** A reading whose text cannot be read, or says another value than its cell, is refused. */
function checkReading(row: Row, path: string): FieldError[] {
	const typed = readTyped(row);
	if (!typed) return [];
	if (!typed.ok) return [refusedReading(`${path}.typedText`, typed)];
	const value = row.value as number | null;
	if (value === null || Math.abs(value - typed.value) <= SAME * Math.max(1, Math.abs(typed.value))) return [];
	return [{ path: `${path}.value`, code: 'contradicts', message: `is ${value}, but “${String(row.typedText)}” says ${typed.value}` }];
}

function checkAttempt(row: Row, path: string): FieldError[] {
	const percent = row.percentReached as number;
	if (row.outcome === 'finished')
		return percent === 100 && row.cause === null
			? []
			: [{ path: `${path}.outcome`, code: 'contradicts', message: 'is finished: then 100 % were reached and nobody is charged' }];
	const errors: FieldError[] = [];
	if (percent >= 100) errors.push({ path: `${path}.percentReached`, code: 'contradicts', message: 'must be below 100 for a failed print' });
	if (row.cause === null) errors.push({ path: `${path}.cause`, code: 'missing', message: 'is missing: "unknown" is an answer' });
	return errors;
}

const finite = z.number();

/** What an amendment may supersede of each kind of record. Anything else would let a file rewrite what it points at. */
const REPLACEMENTS: Record<string, z.ZodType> = {
	reading: z.strictObject({
		value: finite.optional(),
		typedText: words().optional(),
		typedUnit: words(16).optional(),
		resolution: finite.nullable().optional(),
		before: z.enum(['print', 'dried', 'air']).optional()
	}),
	attempt: z.strictObject({
		outcome: z.enum(['finished', 'failed']).optional(),
		percentReached: finite.min(0).max(100).optional(),
		cause: z.enum(['filament', 'printer', 'setUp', 'handling', 'unknown']).nullable().optional(),
		settings: settings.optional()
	}),
	spool: z.strictObject({
		colourName: words().optional(),
		colourHex: colourHex.optional(),
		obtained: z.enum(['bought', 'suppliedFree', 'gift']).optional(),
		lot: words().optional()
	}),
	trial: z.strictObject({ name: words().optional(), question: words(2000).nullable().optional() }),
	printer: z.strictObject({
		hotEndMaxC: finite.optional(),
		feedPathMm: finite.optional(),
		throatMm: finite.optional(),
		hardenedNozzle: z.boolean().optional(),
		enclosed: z.boolean().optional()
	})
};

function checkAmendment(row: Row, path: string): FieldError[] {
	if (row.action === 'undo' && row.undoesId === null)
		return [{ path: `${path}.undoesId`, code: 'missing', message: 'is missing: say which amendment is taken back' }];
	if (row.action !== 'correct')
		return row.replacement === null ? [] : [{ path: `${path}.replacement`, code: 'impossible', message: 'belongs to corrections only' }];
	const schema = REPLACEMENTS[String(row.targetKind)];
	if (!schema)
		return [{ path: `${path}.action`, code: 'impossible', message: `a ${String(row.targetKind)} cannot be corrected; strike it out` }];
	if (row.replacement === null) return [{ path: `${path}.replacement`, code: 'missing', message: 'is missing: say what is corrected' }];
	const parsed = read(schema, row.replacement);
	return parsed.ok ? [] : parsed.errors.map((e) => ({ ...e, path: `${path}.replacement.${e.path}` }));
}
