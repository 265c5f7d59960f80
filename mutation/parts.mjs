/**
 * The joins of core that mutation testing looks at, in parts of at most twenty minutes on two processors.
 * @type {Record<string, string[]>}
 */
export const PARTS = {
	finding: ['judging/finding/*.ts', 'record/claims/*.ts', 'record/amendments/*.ts'],
	diameter: [
		'stations/diameter/budget.ts',
		'stations/diameter/find-mean.ts',
		'stations/diameter/find-spread.ts',
		'stations/diameter/strand.ts',
		'stations/diameter/strand-of-readings.ts'
	],
	moisture: ['stations/moisture/account.ts', 'stations/moisture/tare.ts', 'stations/moisture/station.ts'],
	drying: ['stations/drying/*.ts', 'record/readings/*.ts', 'joins/read-reading.ts'],
	units: ['kernel/units/*.ts'],
	prints: [
		'stations/prints/success/counted-prints.ts',
		'stations/prints/ways/departures.ts',
		'stations/prints/marks/find-mark.ts',
		'stations/prints/success/find-success.ts',
		'stations/prints/ways/judge-pairs.ts',
		'stations/prints/ways/paired-comparison.ts',
		'stations/prints/marks/print-values.ts',
		'stations/prints/marks/printer-effect.ts',
		'stations/prints/marks/scorer-effect.ts',
		'stations/prints/marks/seen.ts',
		'stations/prints/success/success-cells.ts',
		'stations/prints/ways/wet-dry.ts'
	],
	strength: ['stations/strength/*.ts'],
	cost: ['stations/cost/*.ts'],
	compare: ['judging/compare/*.ts'],
	pick: ['answers/pick/*.ts'],
	posterior: ['judging/posterior/*.ts', 'judging/cells/*.ts'],
	sheet: ['answers/sheet/*.ts']
};
