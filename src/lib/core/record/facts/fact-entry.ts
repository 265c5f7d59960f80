import type { Dimension } from '../../kernel/units/dimension';

/** What may be said of a thing of the record, and how it is asked for: said once, and everything else follows. */
type Asked =
	/** Words that are never empty: what a thing is called. */
	| { kind: 'name' }
	| { kind: 'text'; most?: number }
	/** Size in mm, then what it is made of. */
	| { kind: 'nozzle' }
	/** `#rrggbb`. */
	| { kind: 'colour' }
	/** One word of a closed list; `spelt` has what else people write for one. */
	| { kind: 'choice'; of: readonly [string, ...string[]]; spelt?: Readonly<Record<string, string>> }
	/** `usual`: how a form begins. */
	| { kind: 'yesNo'; usual?: boolean }
	/** Typed with its unit under a name of its own, kept in the canonical one. Bounds are what is believable. */
	| { kind: 'measure'; typedAs: string; dimension: Dimension; low: number; high: number }
	/** How good an instrument is, in what it measures itself. */
	| { kind: 'limit' };

export type FactEntry = Asked & {
	/** Kept in a table of its own, not in a column of the thing. */
	apart?: true;
	/** Hidden while a trial is blind. */
	blind?: true;
	/** Headings of a pasted list that mean it, lower case, letters only. */
	pasted?: readonly string[];
};

export type FactEntries = Readonly<Record<string, FactEntry>>;

/** What a fact of an entry is kept as. */
export type FactValue<E> = E extends { kind: 'choice'; of: readonly (infer W)[] }
	? W
	: E extends { kind: 'yesNo' }
		? boolean
		: E extends { kind: 'measure' | 'limit' }
			? number
			: string;

/** All facts of a list; null for what nobody said. */
export type FactsOf<L extends FactEntries> = {
	-readonly [K in keyof L]: L[K] extends { kind: 'name' | 'nozzle' } ? string : FactValue<L[K]> | null;
};

/**
 * What a fact is sent as: a measure under the name of what is typed.
 * @example sentAs('setPointLowC', { kind: 'measure', typedAs: 'setPointLow', dimension: 'temperature', low: 20, high: 500 }) // 'setPointLow'
 */
export const sentAs = (name: string, entry: FactEntry): string => (entry.kind === 'measure' ? entry.typedAs : name);

/**
 * The facts among what is known of a thing, and nothing else; what is not there is not known.
 * @example factsAmong({ lot: { kind: 'text' } }, { id: 'a', lot: 'B7' }) // { lot: 'B7' }
 */
export function factsAmong<const L extends FactEntries>(entries: L, row: Readonly<Record<string, unknown>>): FactsOf<L> {
	return Object.fromEntries(Object.keys(entries).map((name) => [name, row[name] ?? null])) as FactsOf<L>;
}

/**
 * The same without what a blind trial hides.
 * @example blindFacts({ lot: { kind: 'text' }, paid: { kind: 'text', blind: true } }, { lot: 'B7', paid: 'yes' }) // { lot: 'B7', paid: null }
 */
export function blindFacts<const L extends FactEntries>(entries: L, facts: FactsOf<L>): FactsOf<L> {
	return Object.fromEntries(Object.entries(entries).map(([name, { blind }]) => [name, blind ? null : facts[name]])) as FactsOf<L>;
}
