import { sentAs, type FactEntries, type FactEntry } from '$lib/core/record/facts/fact-entry';
import { canonicalUnit } from '$lib/core/kernel/units/dimension';

/** What is typed and chosen of a list of facts, under the names it is sent by: text, a switch, or a choice that was not made yet. */
export type TypedFacts = Record<string, string | boolean | null>;

/** The fields of a form in their order, for its errors. */
export const factFieldsOf = (entries: FactEntries): string[] => Object.entries(entries).map(([name, entry]) => sentAs(name, entry));

function blank(entry: FactEntry): string | boolean | null {
	if (entry.kind === 'choice') return null;
	return entry.kind === 'yesNo' ? (entry.usual ?? false) : '';
}

/** Nothing said yet. */
export const blankFacts = (entries: FactEntries): TypedFacts =>
	Object.fromEntries(Object.entries(entries).map(([name, entry]) => [sentAs(name, entry), blank(entry)]));

/** What stands, as it would be typed. */
export const typedFacts = (entries: FactEntries, stands: Readonly<Record<string, unknown>>): TypedFacts =>
	Object.fromEntries(
		Object.entries(entries).map(([name, entry]) => {
			const value = stands[name];
			const typed = entry.kind === 'measure' && typeof value === 'number' ? `${value} ${canonicalUnit(entry.dimension)}` : value;
			return [sentAs(name, entry), typeof typed === 'string' || typeof typed === 'boolean' ? typed : blank(entry)];
		})
	);

/** What was said: fields left empty and choices not made are not. */
export const saidFacts = (typed: TypedFacts): TypedFacts =>
	Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== null && (typeof value !== 'string' || value.trim() !== '')));
