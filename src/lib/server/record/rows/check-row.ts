import { AMENDED_FACTS, BEFORE, DIRECTIONS, FAILURE_CAUSES, FAILURE_KINDS, FAMILIES } from '$lib/core/record/lists/closed-lists';
import { z } from 'zod';
import { attemptReplacement } from '$lib/schemas/attempt';
import { keptFacts } from '$lib/schemas/fact-fields';
import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { TRIAL_FACTS } from '$lib/core/record/facts/trial-facts';
import { paramFaults, pieceKind } from '$lib/core/judging/pieces/library/library';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { benchCode, id, isSeen, requiredWords, words } from '$lib/schemas/common';
import { errorAt, type FieldError, fieldError } from '$lib/schemas/field-error';
import { read } from '$lib/schemas/read';
import { paramError } from '$lib/schemas/param-error';
import { specimenReplacement } from '$lib/schemas/strength';
import { refusedReading } from '$lib/schemas/refused-reading';
import { readTyped } from './complete-row';
import type { RecordTable } from './tables';

type Row = Record<string, unknown>;

/**
 * What the cells of a row must say together, as the API's own bodies demand it: a file is no way around a rule.
 * Each error names its column under `path`.
 */
export function checkRow(table: RecordTable, row: Row, path: string): FieldError[] {
	return [...unseenText(table, row, path), ...(CHECKS[table.name]?.(row, path) ?? [])];
}

const CHECKS: Record<string, (row: Row, path: string) => FieldError[]> = {
	readings: checkReading,
	attempts: checkAttempt,
	amendments: checkAmendment,
	'own-measures': (row, path) => inOrder(row, path, 'scaleLow', 'scaleHigh'),
	dryers: (row, path) => inOrder(row, path, 'setPointLowC', 'setPointHighC'),
	'drying-runs': (row, path) => inOrder(row, path, 'startedAt', 'plannedEndAt'),
	pieces: checkPiece,
	verdicts: (row, path) => (row.kind === 'buyFor' && !row.buyFor ? [fieldError(`${path}.buyFor`, 'buyForMissing')] : [])
};

/** Columns with the rules of their own tell unseen characters themselves; this is for all others, JSON included. */
function unseenText(table: RecordTable, row: Row, path: string): FieldError[] {
	const seen = (value: unknown): boolean => {
		if (typeof value === 'string') return isSeen(value, true);
		if (value && typeof value === 'object') return Object.entries(value).every(([k, v]) => isSeen(k) && seen(v));
		return true;
	};
	return Object.entries(row)
		.filter(([name, value]) => !table.rules?.[name] && !seen(value))
		.map(([name]) => fieldError(`${path}.${name}`, 'unseenCharacters'));
}

/** Two cells of which the second must lie above the first, where both are filled. */
function inOrder(row: Row, path: string, low: string, high: string): FieldError[] {
	const [a, b] = [row[low], row[high]].map((v) => (typeof v === 'string' ? Date.parse(v) : v)) as (number | null)[];
	if (a === null || b === null || a === undefined || b === undefined || b > a) return [];
	return [fieldError(`${path}.${high}`, 'mustFollow', { other: low })];
}

/** A made piece has the sizes its kind asks for; a model of the tester's own says what can be looked at on it. */
function checkPiece(row: Row, path: string): FieldError[] {
	if (row.kind === null) {
		const tells = row.marks !== null || row.overhangStepDeg !== null || row.bridgeStepMm !== null;
		return tells ? [] : [fieldError(`${path}.marks`, 'marksMissing')];
	}
	const kind = typeof row.kind === 'string' ? pieceKind(row.kind) : null;
	if (!kind || row.params === null) return [fieldError(`${path}.params`, 'sizesMissing')];
	return paramFaults(kind, row.params as Record<string, number>).map((f) => {
		const error = paramError(f);
		return errorAt(`${path}.${error.path}`, error);
	});
}

/** Relative difference that a value and its text may have: the last digit of twelve. */
const SAME = 1e-9;

/** A reading whose text cannot be read, or says another value than its cell, is refused. */
function checkReading(row: Row, path: string): FieldError[] {
	const def = READING_QUANTITIES[String(row.quantity)];
	const errors: FieldError[] = [];
	const needs = def?.of && `${def.of}Id`;
	if (needs && !row[needs]) errors.push(fieldError(`${path}.${needs}`, def.of === 'attempt' ? 'markWithoutPrint' : 'loadWithoutSpecimen'));
	if (row.quantity === 'own' && !row.ownMeasureId) errors.push(fieldError(`${path}.ownMeasureId`, 'ownMeasureMissing'));
	const station = def?.station ?? 'intake';
	if (row.station !== station) errors.push(fieldError(`${path}.station`, 'wrongStation', { station, quantity: String(row.quantity) }));
	if (row.before !== null && row.quantity !== 'grossMass') errors.push(fieldError(`${path}.before`, 'onlyWeighingsHaveBefore'));
	return [...errors, ...checkTyped(row, path)];
}

function checkTyped(row: Row, path: string): FieldError[] {
	const typed = readTyped(row);
	if (!typed) return [];
	if (!typed.ok) return [refusedReading(`${path}.typedText`, typed)];
	const value = row.value as number | null;
	if (value === null || Math.abs(value - typed.value) <= SAME * Math.max(1, Math.abs(typed.value))) return [];
	return [fieldError(`${path}.value`, 'valueContradictsText', { value, text: String(row.typedText), textValue: typed.value })];
}

function checkAttempt(row: Row, path: string): FieldError[] {
	const percent = row.percentReached as number;
	if (row.outcome === 'finished')
		return percent === 100 && row.cause === null && row.failure === null ? [] : [fieldError(`${path}.outcome`, 'finishedContradicted')];
	const errors: FieldError[] = [];
	if (row.outcome === 'ofNoUse' && percent !== 100) errors.push(fieldError(`${path}.percentReached`, 'finishedContradicted'));
	if (row.outcome === 'failed' && percent >= 100) errors.push(fieldError(`${path}.percentReached`, 'percentWhole'));
	if (row.cause === null) errors.push(fieldError(`${path}.cause`, 'causeMissing'));
	return errors;
}

const finite = z.number();
const moment = z.int().min(0);
const archived = z.boolean().optional();
const product = { maker: words(), name: words(), material: requiredWords(40) };

/** What an amendment may supersede of each kind of record. Anything else would let a file rewrite what it points at. */
const REPLACEMENTS: Record<string, z.ZodType> = {
	reading: z.strictObject({
		value: finite.optional(),
		typedText: words().optional(),
		typedUnit: words(16).optional(),
		resolution: finite.nullable().optional(),
		before: z.enum(BEFORE).optional(),
		instrumentId: id.optional(),
		takenAt: moment.optional(),
		scorer: words(60).optional()
	}),
	// As the form may correct it, and as it is kept: whole in the end, and at a moment that is a number.
	attempt: z.strictObject({
		...attemptReplacement.shape,
		percentReached: finite.min(0).max(100).optional(),
		cause: z.enum(FAILURE_CAUSES).nullable().optional(),
		failure: z.enum(FAILURE_KINDS).nullable().optional(),
		at: moment.optional()
	}),
	specimen: specimenReplacement,
	spool: z.strictObject({
		...keptFacts(SPOOL_FACTS),
		benchCode: benchCode.optional(),
		codeWas: benchCode.optional(),
		archived
	}),
	filament: z.strictObject({ ...product, was: z.strictObject({ ...product, makerId: id }) }),
	quote: z.strictObject({ netMassG: z.number().positive().max(50_000) }),
	trial: z.strictObject({ ...keptFacts(TRIAL_FACTS), question: words(2000).nullable().optional(), archived }),
	printer: z.strictObject({ ...keptFacts(PRINTER_FACTS), archived }),
	instrument: z.strictObject({ ...keptFacts(INSTRUMENT_FACTS), archived }),
	dryer: z.strictObject({ ...keptFacts(DRYER_FACTS), archived }),
	ownMeasure: z.strictObject({
		name: requiredWords(60).optional(),
		family: z.enum(FAMILIES).exclude(['cost']).nullable().optional(),
		direction: z.enum(DIRECTIONS).optional(),
		scaleLow: finite.optional(),
		scaleHigh: finite.optional()
	}),
	piece: z.strictObject({ archived: z.boolean() }),
	verdict: z.strictObject({ archived: z.boolean() }),
	dryingRun: z.strictObject({
		startedAt: moment.optional(),
		plannedEndAt: moment.optional(),
		endedAt: moment.optional(),
		setPointC: finite.optional()
	})
};

const isFact = (row: Row): boolean => (AMENDED_FACTS as readonly string[]).includes(String(row.targetKind));
const isPartOfLog = (row: Row, from: number | null, to: number | null): boolean =>
	from !== null && to !== null && to >= from && row.targetKind === 'log' && row.action === 'exclude';

function checkAmendment(row: Row, path: string): FieldError[] {
	if (row.reason === '' && row.action !== 'confirm' && row.action !== 'undo') return [fieldError(`${path}.reason`, 'reasonMissing')];
	const [from, to] = [row.rangeFrom, row.rangeTo].map((v) => (typeof v === 'number' ? v : null)) as [number | null, number | null];
	if (!isPartOfLog(row, from, to) && (from !== null || to !== null)) return [fieldError(`${path}.rangeTo`, 'onlyLogsInPart')];
	if (row.action === 'undo' && row.undoesId === null) return [fieldError(`${path}.undoesId`, 'undoneMissing')];
	if (isFact(row) && row.action !== 'undo' && row.action !== 'correct') return [fieldError(`${path}.action`, 'onlyUndone')];
	if (row.action !== 'correct') return row.replacement === null ? [] : [fieldError(`${path}.replacement`, 'onlyForCorrections')];
	const schema = REPLACEMENTS[String(row.targetKind)];
	if (!schema) return [fieldError(`${path}.action`, 'notCorrectable', { what: String(row.targetKind) })];
	if (row.replacement === null) return [fieldError(`${path}.replacement`, 'correctionMissing')];
	const parsed = read(schema, row.replacement);
	return parsed.ok ? [] : parsed.errors.map((e) => errorAt(`${path}.replacement.${e.path}`, e));
}
