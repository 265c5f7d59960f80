import { boolean, varchar } from 'drizzle-orm/mysql-core';
import { factsAmong, type FactEntries, type FactEntry, type FactsOf } from '$lib/core/record/facts/fact-entry';
import { number, oneOf, shortText } from './columns';

type ColumnOf<E> = E extends { kind: 'choice'; of: infer O extends readonly [string, ...string[]] }
	? ReturnType<typeof oneOf<O[number], O>>
	: E extends { kind: 'yesNo' }
		? ReturnType<typeof boolean>
		: E extends { kind: 'measure' | 'limit' }
			? ReturnType<typeof number>
			: E extends { kind: 'name' | 'nozzle' }
				? ReturnType<ReturnType<typeof shortText>['notNull']>
				: ReturnType<typeof shortText>;

type ColumnsOf<L extends FactEntries> = { -readonly [K in keyof L as L[K] extends { apart: true } ? never : K]: ColumnOf<L[K]> };

function columnOf(entry: FactEntry) {
	switch (entry.kind) {
		case 'name':
		case 'nozzle':
			return shortText().notNull();
		case 'text':
			return varchar({ length: entry.most ?? 120 });
		case 'colour':
			return varchar({ length: 7 });
		case 'choice':
			return oneOf(entry.of);
		case 'yesNo':
			return boolean();
		case 'measure':
		case 'limit':
			return number();
	}
}

/** The columns of a list of facts; those that are kept apart have none. */
export const factColumns = <const L extends FactEntries>(entries: L): ColumnsOf<L> =>
	Object.fromEntries(Object.entries(entries).flatMap(([name, entry]) => (entry.apart ? [] : [[name, columnOf(entry)]]))) as ColumnsOf<L>;

type InColumns<L extends FactEntries> = { [K in keyof ColumnsOf<L> & keyof FactsOf<L>]: FactsOf<L>[K] };

/** Facts as they go into the columns of a new row. */
export const columnFacts = <const L extends FactEntries>(entries: L, body: Readonly<Record<string, unknown>>): InColumns<L> =>
	factsAmong(Object.fromEntries(Object.entries(entries).filter(([, { apart }]) => !apart)), body) as unknown as InColumns<L>;
