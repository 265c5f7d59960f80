import { sentAs, type FactEntries } from '$lib/core/record/facts/fact-entry';
import type { TypedFacts } from '$lib/core/record/facts/typed-facts';

/** The fields of a form in their order, for its errors. */
export const factFieldsOf = (entries: FactEntries): string[] => Object.entries(entries).map(([name, entry]) => sentAs(name, entry));

/** What was said: fields left empty and choices not made are not. */
export const saidFacts = (typed: TypedFacts): TypedFacts =>
	Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== null && (typeof value !== 'string' || value.trim() !== '')));
