import type { LoadMethod, Orientation } from '$lib/core/record/evidence/specimen';
import { readReading } from '$lib/core/joins/read-reading';
import { fieldError, type FieldError } from '$lib/schemas/field-error';
import { refusedReading } from '$lib/schemas/refused-reading';
import { withUnit } from '../form/chosen-unit.svelte';
import { readLoad, unitTyped } from './read-load';

/** How specimens are made and loaded, as the page says it. */
export type LoadSetUp = {
	shape: string;
	orientation: Orientation;
	method: LoadMethod;
	/** Nozzle temperature, C, as typed; empty for not said. */
	nozzle: string;
	bucket: string;
	unit: string;
};

/** The specimen under load on each spool, with the largest load it has held; and the one that broke last and can still be told how. */
export type Loading = {
	open: Readonly<Record<string, { id: string; lastN: number | null }>>;
	broken: { spoolId: string; id: string } | null;
	/** The one that held to the end and can still be told what that did to it. */
	held: { spoolId: string; id: string } | null;
};

export const NOTHING_LOADED: Loading = { open: {}, broken: null, held: null };

/** What one entry brings: the reading, the specimen it belongs to, and how things stand then. */
export type Entry = { specimenId: string; isNew: boolean; quantity: string; typed: string; loading: Loading };

/**
 * A load (or a blow) as typed. In steps a specimen stays under load until one breaks it; read off or counted, each entry is a specimen.
 * @param newId the id of the specimen, should this be its first load
 * @returns all that is wrong with it and with how it is loaded, each at its field, or what it brings and the unit it was typed in
 */
export function typedLoad(
	loading: Loading,
	setUp: LoadSetUp,
	given: { spoolId: string; text: string; newId: string }
): { refusals: FieldError[] } | (Entry & { unit: string | null }) {
	const { method } = setUp;
	const refusals = setUpFaults(setUp);
	const load = readLoad(given.text, method);
	const typed = method === 'blows' ? load.typed : withUnit(load.typed, setUp.unit);
	const read = readReading(load.quantity, typed);
	if (!read.ok) return { refusals: [...refusals, refusedReading('typed', read)] };
	const lastN = loading.open[given.spoolId]?.lastN ?? null;
	if (method === 'steps' && lastN !== null && read.value <= lastN) refusals.push(fieldError('typed', 'notMoreThanLast'));
	if (refusals.length > 0) return { refusals };
	const entry = entered(loading, given, { quantity: load.quantity, typed, value: read.value, ends: method !== 'steps' });
	return { ...entry, unit: method === 'blows' ? null : unitTyped(typed) };
}

/** What is wrong with how it is loaded, each at its field. */
export function setUpFaults({ shape, nozzle, method, bucket }: LoadSetUp): FieldError[] {
	const mass = method === 'steps' && bucket.trim() ? readReading('bucketMass', bucket) : null;
	return [
		...(shape.trim() ? [] : [fieldError('shape', 'loadedShapeMissing')]),
		...(isTemperature(nozzle) ? [] : [fieldError('nozzle', 'nozzleNotRead')]),
		...(mass && !mass.ok ? [refusedReading('bucket', mass)] : [])
	];
}

/** What the hands said of it: a specimen of its own. */
export const feltByHand = (loading: Loading, given: { spoolId: string; newId: string }, word: string): Entry =>
	entered(loading, given, { quantity: 'byHand', typed: word, value: null, ends: true });

function entered(
	loading: Loading,
	{ spoolId, newId }: { spoolId: string; newId: string },
	{ quantity, typed, value, ends }: { quantity: string; typed: string; value: number | null; ends: boolean }
): Entry {
	const known = loading.open[spoolId];
	const id = known?.id ?? newId;
	// What gave way in the hands can be told how; what did not break is asked what that did to it.
	const broke = isBreak(quantity) || (quantity === 'byHand' && typed !== 'holds');
	const done = ends && !broke;
	const { [spoolId]: _, ...others } = loading.open;
	return {
		specimenId: id,
		isNew: !known,
		quantity,
		typed,
		loading: {
			open: ends || broke ? others : { ...others, [spoolId]: { id, lastN: value } },
			broken: broke ? { spoolId, id } : ends ? null : loading.broken,
			held: done ? { spoolId, id } : null
		}
	};
}

const isBreak = (quantity: string): boolean => quantity.endsWith('Broke');

/** What was typed for a nozzle temperature, C; null for nothing, NaN for what is no temperature. */
export const nozzleOf = (typed: string): number | null =>
	typed.trim() === ''
		? null
		: Number(
				typed
					.trim()
					.replace(',', '.')
					.replace(/\s*°?\s*C$/i, '')
			);
const isTemperature = (typed: string): boolean => {
	const nozzleC = nozzleOf(typed);
	return nozzleC === null || (nozzleC >= 20 && nozzleC <= 500);
};

/** The specimen under load held all there was: the next load is another's. */
export function unloaded(loading: Loading, spoolId: string): Loading {
	const { [spoolId]: held, ...others } = loading.open;
	return { open: others, broken: null, held: held ? { spoolId, id: held.id } : null };
}

/** The last reading was taken back: after a break in steps the specimen still hangs there, and any load may follow. */
export function takenBack(
	loading: Loading,
	method: LoadMethod,
	spoolId: string,
	reading: { specimenId: string | null; quantity: string }
): Loading {
	const { specimenId, quantity } = reading;
	const here = loading.open[spoolId];
	const hangs = specimenId !== null && ((isBreak(quantity) && method === 'steps') || here?.id === specimenId);
	return { open: hangs ? { ...loading.open, [spoolId]: { id: specimenId, lastN: null } } : loading.open, broken: null, held: null };
}
