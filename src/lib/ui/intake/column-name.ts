import { factName, SPOOL_FACT_WORDS } from '../../words/facts';

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
	...Object.fromEntries(Object.entries(SPOOL_FACT_WORDS).map(([name, word]) => [name, factName(word)]))
};

/** The heading of a column in a pasted list, as people write it and as it is read. @example columnName('netMass') // 'filament weight' */
export const columnName = (field: string): string => NAMES[field] ?? field;
