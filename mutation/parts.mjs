/**
 * The joins of core that mutation testing looks at, in parts of at most twenty minutes on two processors.
 * @type {Record<string, string[]>}
 */
export const PARTS = {
	finding: ['finding/*.ts', 'claims/*.ts', 'amendments/*.ts'],
	diameter: [
		'diameter/budget.ts',
		'diameter/find-mean.ts',
		'diameter/find-spread.ts',
		'diameter/strand.ts',
		'diameter/strand-of-readings.ts'
	],
	moisture: ['moisture/account.ts', 'moisture/tare.ts', 'moisture/station.ts'],
	drying: ['drying/*.ts', 'readings/*.ts'],
	units: ['units/*.ts'],
	prints: [
		'prints/counted-prints.ts',
		'prints/departures.ts',
		'prints/find-mark.ts',
		'prints/find-success.ts',
		'prints/judge-pairs.ts',
		'prints/paired-comparison.ts',
		'prints/print-values.ts',
		'prints/printer-effect.ts',
		'prints/scorer-effect.ts',
		'prints/seen.ts',
		'prints/success-cells.ts',
		'prints/wet-dry.ts'
	],
	strength: ['strength/*.ts'],
	cost: ['cost/*.ts'],
	compare: ['compare/*.ts'],
	pick: ['pick/*.ts'],
	posterior: ['posterior/*.ts'],
	sheet: ['sheet/*.ts']
};
