import { canonicalUnit } from '../../kernel/units/dimension';
import { sentAs, type FactEntries, type FactEntry } from './fact-entry';

/** What is typed and chosen of a list of facts, under the names it is sent by: text, a switch, or a choice that was not made yet. */
export type TypedFacts = Record<string, string | boolean | null>;

function blank(entry: FactEntry): string | boolean | null {
	if (entry.kind === 'choice') return null;
	return entry.kind === 'yesNo' ? (entry.usual ?? false) : '';
}

/**
 * A form of a list of facts with nothing said yet.
 * @example blankFacts({ lot: { kind: 'text' } }) // { lot: '' }
 */
export const blankFacts = (entries: FactEntries): TypedFacts => typedFacts(entries, {});

/**
 * Facts as they stand in a form: what it shows, and what its sender is held to have seen.
 * @example typedFacts({ setPointLowC: { kind: 'measure', typedAs: 'setPointLow', dimension: 'temperature', low: 20, high: 500 } }, { setPointLowC: 40 }) // { setPointLow: '40 C' }
 */
export const typedFacts = (entries: FactEntries, stands: Readonly<Record<string, unknown>>): TypedFacts =>
	Object.fromEntries(
		Object.entries(entries).map(([name, entry]) => {
			const value = stands[name];
			const typed = entry.kind === 'measure' && typeof value === 'number' ? `${value} ${canonicalUnit(entry.dimension)}` : value;
			return [sentAs(name, entry), typeof typed === 'string' || typeof typed === 'boolean' ? typed : blank(entry)];
		})
	);
