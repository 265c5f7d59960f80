import { sentAs, type FactEntries } from '$lib/core/record/facts/fact-entry';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { factName, SPOOL_FACT_WORDS, type FactWord } from '../../words/facts';

const WORDS: Readonly<Record<string, FactWord>> = SPOOL_FACT_WORDS;

const NAMES: Readonly<Record<string, string>> = {
	netMass: 'filament weight',
	labelNozzle: 'label temperature',
	filament: 'product',
	benchCode: 'code',
	labelTolerance: 'tolerance',
	quantity: 'spools',
	quoteKind: 'kind of price',
	listPrice: 'list price',
	salePrice: 'sale price',
	grossMass: 'full spool',
	tare: 'empty spool',
	nothingOdd: 'nothing wrong',
	good: 'good points',
	...Object.fromEntries(
		Object.entries(SPOOL_FACTS as FactEntries).map(([name, entry]) => [sentAs(name, entry), factName(WORDS[name] ?? { label: name })])
	)
};

/** The heading of a column in a pasted list, as people write it and as it is read. @example columnName('netMass') // 'filament weight' */
export const columnName = (field: string): string => NAMES[field] ?? field;
