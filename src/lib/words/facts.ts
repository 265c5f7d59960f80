import type { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import type { FactEntries, FactEntry } from '$lib/core/record/facts/fact-entry';
import type { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import type { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { OBTAINED_WORDS, REEL_MATERIAL_WORDS } from './closed-lists';
import { upTo } from './numbers';
import { lengthWords, massWords, temperatureWords } from './units';

/** How a fact is asked for, and what it is called in a sentence where that is not its label in small letters. */
export type FactWord = { label: string; name?: string; example?: string; words?: Readonly<Record<string, string>> };

/** Words of a list of facts: one that is forgotten does not compile, nor does a choice without a word for each. */
type FactWords<L extends FactEntries> = {
	[K in keyof L]: L[K] extends { kind: 'choice'; of: readonly (infer W extends string)[] }
		? FactWord & { words: Readonly<Record<W, string>> }
		: FactWord;
};

export const SPOOL_FACT_WORDS: FactWords<typeof SPOOL_FACTS> = {
	colourName: { label: 'Colour' },
	colourHex: { label: 'As seen', name: 'colour as seen' },
	lot: { label: 'Lot' },
	reelMaterial: { label: 'Spool body', words: REEL_MATERIAL_WORDS },
	desiccantG: { label: 'Desiccant packet', example: '5 g' },
	obtained: { label: 'How obtained', name: 'obtained', words: OBTAINED_WORDS }
};

export const PRINTER_FACT_WORDS: FactWords<typeof PRINTER_FACTS> = {
	name: { label: 'Name', example: 'North' },
	nozzle: { label: 'Nozzle', example: '0.4 brass' },
	hotEndMaxC: { label: 'Max nozzle temp', example: '260 C' },
	feedPathMm: { label: 'Feed path bore', example: '2.0 mm' },
	throatMm: { label: 'Narrowest bore', example: '1.95 mm' },
	hardenedNozzle: { label: 'hardened nozzle' },
	enclosed: { label: 'enclosed' },
	bedMaxC: { label: 'Bed up to', example: '110 C' },
	reelMaxG: { label: 'Spools up to', example: '1 kg' },
	cardReels: { label: 'card spools turn on it' }
};

export const DRYER_FACT_WORDS: FactWords<typeof DRYER_FACTS> = {
	name: { label: 'Name', example: 'Tall box' },
	setPointLowC: { label: 'Lowest temperature', example: '40 C' },
	setPointHighC: { label: 'Highest temperature', example: '70 C' }
};

/** What a fact is called in a sentence. @example factName(SPOOL_FACT_WORDS.lot) // 'lot' */
export const factName = ({ label, name }: FactWord): string => name ?? label.toLowerCase();

/** A measure in the unit it is read in. */
function measureWords(value: number, { dimension }: Extract<FactEntry, { kind: 'measure' }>): string {
	if (dimension === 'mass') return massWords(value, 1, upTo);
	return dimension === 'temperature' ? temperatureWords(value) : lengthWords(value, 2, upTo);
}

function told(value: unknown, entry: FactEntry, word: FactWord): string | null {
	const name = factName(word);
	if (entry.kind === 'yesNo') return value === true ? name : null;
	if (typeof value === 'number') return `${name} ${entry.kind === 'measure' ? measureWords(value, entry) : upTo(value, 3)}`;
	if (typeof value !== 'string' || value === '') return null;
	return `${name} ${word.words?.[value] ?? value}`;
}

/**
 * What is known of a thing, a phrase for each fact that was said.
 * @param except what the page tells elsewhere
 * @example factsTold(SPOOL_FACTS, SPOOL_FACT_WORDS, spool, ['colourName']) // ['lot B7', 'spool body card']
 */
export const factsTold = (
	entries: FactEntries,
	words: Readonly<Record<string, FactWord>>,
	facts: Readonly<Record<string, unknown>>,
	except: readonly string[] = []
): string[] =>
	Object.entries(entries).flatMap(([name, entry]) => {
		const word = words[name];
		return word && !except.includes(name) ? (told(facts[name], entry, word) ?? []) : [];
	});
