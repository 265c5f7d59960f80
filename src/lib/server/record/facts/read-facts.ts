import { sentAs, type FactEntries, type FactEntry, type FactsOf } from '$lib/core/record/facts/fact-entry';
import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { canonicalUnit } from '$lib/core/kernel/units/dimension';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { readTemperature } from '../typed/temperature';

/** The largest error limit or step that a bench instrument can have, in the canonical unit. */
const LARGEST = { length: 1, mass: 100 };

type Measured = keyof typeof LARGEST;

/** What was typed of how good an instrument is, in mm or g. */
function limitOf(text: string, path: string, dimension: Measured, errors: FieldError[]): number | undefined {
	const most = LARGEST[dimension];
	const read = readQuantityText(text.replace(/^(\+\/-|±)\s*/, ''), dimension);
	if (read.ok && read.value > 0 && read.value <= most) return read.value;
	errors.push(fieldError(path, 'notAnErrorLimit', { dimension, most }));
	return undefined;
}

function measureOf(text: string, { typedAs, dimension, low, high }: Extract<FactEntry, { kind: 'measure' }>, errors: FieldError[]) {
	if (dimension === 'temperature') return readTemperature(text, typedAs, errors, { low, high }) ?? undefined;
	const read = readQuantityText(text, dimension);
	if (read.ok && read.value >= low && read.value <= high) return read.value;
	errors.push(fieldError(typedAs, 'notBetween', { low, high, unit: canonicalUnit(dimension) }));
	return undefined;
}

/** Facts as they were said: what is not among them was left out, null was emptied. */
type Said<L extends FactEntries> = { [K in keyof FactsOf<L>]?: FactsOf<L>[K] };

/**
 * What a body says of a list of facts, measures read from what was typed; what is wrong goes to its field.
 * @param measures what an instrument measures, where limits are among the facts
 * @example readFacts(PRINTER_FACTS, { hotEndMax: '260 C', bedMax: '' }, errors) // { hotEndMaxC: 260, bedMaxC: null }
 */
export function readFacts<const L extends FactEntries>(
	entries: L,
	body: Readonly<Record<string, unknown>>,
	errors: FieldError[],
	measures: Measured = 'length'
): Said<L> {
	const said = Object.entries(entries).map(([name, entry]): [string, unknown] => {
		const typed = body[sentAs(name, entry)];
		if (typed === undefined) return [name, undefined];
		if (typed === '') return [name, null];
		if (typeof typed !== 'string') return [name, typed];
		if (entry.kind === 'measure') return [name, measureOf(typed, entry, errors)];
		return [name, entry.kind === 'limit' ? limitOf(typed, name, measures, errors) : typed];
	});
	return Object.fromEntries(said.filter(([, value]) => value !== undefined)) as Said<L>;
}
