import { z } from 'zod';
import { sentAs, type FactEntries, type FactEntry } from '$lib/core/record/facts/fact-entry';
import { saying } from './field-error';
import { colourHex, requiredWords, typed, words } from './common';

/** Size in mm, then what it is made of. */
export const nozzle = requiredWords().refine(
	(text) => {
		const size = Number(/^(\d+(?:[.,]\d+)?)(?:\s|$)/.exec(text)?.[1]?.replace(',', '.') ?? NaN);
		return text === '' || (size >= 0.05 && size <= 5);
	},
	{ error: saying('notANozzle') }
);

/** What a fact is sent as: a measure as the text that was typed. */
type Sent<E> = E extends { kind: 'choice'; of: readonly (infer W)[] } ? W : E extends { kind: 'yesNo' } ? boolean : string;
/** What a measure is typed under; the others have one name. */
type SentAs<K, E> = E extends { typedAs: infer T extends string } ? T : K;

type Fields<L extends FactEntries> = { [K in keyof L as SentAs<K, L[K]> & string]: z.ZodOptional<z.ZodType<Sent<L[K]>, Sent<L[K]>>> };
type Kept<E> = E extends { kind: 'measure' | 'limit' } ? number | null : Sent<E>;
type KeptFields<L extends FactEntries> = { [K in keyof L]: z.ZodOptional<z.ZodType<Kept<L[K]>, Kept<L[K]>>> };

function sent(entry: FactEntry): z.ZodType {
	switch (entry.kind) {
		case 'name':
			return requiredWords();
		case 'text':
			return words(entry.most);
		case 'nozzle':
			return nozzle;
		case 'colour':
			return colourHex;
		case 'choice':
			return z.enum(entry.of);
		case 'yesNo':
			return z.boolean();
		case 'measure':
			return typed;
		case 'limit':
			return requiredWords(40);
	}
}

/** What a form, a row or a program may send of a list of facts: what is left out is not said. */
export const factFields = <const L extends FactEntries>(entries: L): Fields<L> =>
	Object.fromEntries(Object.entries(entries).map(([name, entry]) => [sentAs(name, entry), sent(entry).optional()])) as unknown as Fields<L>;

/** What an amendment keeps of the same facts: a measure as its number, null for one that is not known any more. */
export const keptFacts = <const L extends FactEntries>(entries: L): KeptFields<L> =>
	Object.fromEntries(
		Object.entries(entries).map(([name, entry]) => {
			if (entry.kind === 'limit') return [name, z.number().positive().optional()];
			return [name, (entry.kind === 'measure' ? z.number().nullable() : sent(entry)).optional()];
		})
	) as unknown as KeptFields<L>;
