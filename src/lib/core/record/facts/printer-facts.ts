import type { FactEntries, FactsOf } from './fact-entry';

/** A bore that a strand of filament goes through, mm. */
const BORE = { kind: 'measure', dimension: 'length', low: 1, high: 6 } as const;
/** A hot end or a bed as people can own one, degrees Celsius. */
const HEAT = { kind: 'measure', dimension: 'temperature', low: 20, high: 500 } as const;

/** What is said of a printer: what it is called, and what it can do. */
export const PRINTER_FACTS = {
	name: { kind: 'name' },
	nozzle: { kind: 'nozzle' },
	hotEndMaxC: { ...HEAT, typedAs: 'hotEndMax' },
	/** The narrowest of the feed path, and that of the nozzle throat. */
	feedPathMm: { ...BORE, typedAs: 'feedPath' },
	throatMm: { ...BORE, typedAs: 'throat' },
	hardenedNozzle: { kind: 'yesNo' },
	enclosed: { kind: 'yesNo' },
	bedMaxC: { ...HEAT, typedAs: 'bedMax' },
	/** The heaviest spool its holder takes, net. */
	reelMaxG: { kind: 'measure', typedAs: 'reelMax', dimension: 'mass', low: 100, high: 50_000 },
	/** Whether a reel of card turns on its holder. */
	cardReels: { kind: 'yesNo', usual: true }
} as const satisfies FactEntries;

export type PrinterFacts = FactsOf<typeof PRINTER_FACTS>;
