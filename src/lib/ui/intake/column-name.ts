const NAMES: Readonly<Record<string, string>> = {
	netMass: 'filament weight',
	labelNozzle: 'label temperature',
	filament: 'product',
	benchCode: 'code',
	colourName: 'colour',
	labelTolerance: 'tolerance',
	quantity: 'spools',
	quoteKind: 'kind of price',
	listPrice: 'list price',
	salePrice: 'sale price',
	grossMass: 'full spool',
	tare: 'empty spool',
	reelMaterial: 'spool body',
	nothingOdd: 'nothing wrong',
	good: 'good points'
};

/** The heading of a column in a pasted list, as people write it and as it is read. @example columnName('netMass') // 'filament weight' */
export const columnName = (field: string): string => NAMES[field] ?? field;
