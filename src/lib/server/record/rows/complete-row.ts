import { DateTime } from 'luxon';
import { v7 } from 'uuid';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { readReading } from '$lib/core/joins/read-reading';
import { columnsOf } from './column';
import { readLocalTime, type LocalTime } from './local-time';
import type { RecordTable } from './tables';

const UTC: LocalTime = { zone: 'UTC', dayFirst: true };

type Row = Record<string, unknown>;

const blank = (value: unknown): boolean => value === null || value === undefined || value === '';

/**
 * Fills what a hand-made file may leave out: an id, when it came in, the zone, the offset of a time; of a reading its station, value and resolution,
 * which follow from what was typed. What stands there is kept.
 */
export function completeRow(table: RecordTable, row: Row, now: number, local: LocalTime = UTC): Row {
	const filled: Row = { ...row };
	const columns = (name: string) => name in table.table;
	if (columns('id') && blank(filled.id)) filled.id = v7();
	if (columns('createdAt') && blank(filled.createdAt)) filled.createdAt = new Date(now).toISOString();
	if (columns('zone') && blank(filled.zone)) filled.zone = local.zone;
	const there = {
		...local,
		zone: typeof filled.zone === 'string' && DateTime.local({ zone: filled.zone }).isValid ? filled.zone : local.zone
	};
	for (const { name, kind } of columnsOf(table.table)) {
		const text = filled[name];
		if (kind === 'moment' && typeof text === 'string') filled[name] = readLocalTime(text, there) ?? text;
	}
	if (table.name === 'readings') completeReading(filled);
	return filled;
}

function completeReading(row: Row): void {
	const def = typeof row.quantity === 'string' ? READING_QUANTITIES[row.quantity] : undefined;
	if (!def) {
		if (blank(row.station)) row.station = 'intake';
		if (blank(row.typedUnit)) row.typedUnit = '';
		return;
	}
	if (blank(row.station)) row.station = def.station;
	const read = readTyped(row);
	if (!read?.ok) {
		if (blank(row.typedUnit)) row.typedUnit = '';
		return;
	}
	if (blank(row.value)) row.value = read.value;
	if (blank(row.typedUnit)) row.typedUnit = read.typedUnit;
	if (blank(row.resolution)) row.resolution = read.resolution;
}

/** What was typed, read as the bench would; a bare number takes the unit of its own column. */
export function readTyped(row: Row): ReturnType<typeof readReading> | null {
	if (typeof row.quantity !== 'string' || typeof row.typedText !== 'string' || !READING_QUANTITIES[row.quantity]) return null;
	const unit = typeof row.typedUnit === 'string' ? row.typedUnit : '';
	if (row.quantity === 'own') {
		const read = readReading('own', row.typedText, unit);
		// A word of the tester's own: which rank it has only its measure knows, so that the value has to stand beside it.
		const isRank = !read.ok && unit === '' && Number.isInteger(row.value) && (row.value as number) >= 0;
		return isRank ? { ok: true, value: row.value as number, typedText: row.typedText, typedUnit: '', resolution: null } : read;
	}
	return readReading(row.quantity, /^[\d.,+\-\s]+$/.test(row.typedText) ? `${row.typedText} ${unit}`.trim() : row.typedText);
}
