/**
 * The joins of core that mutation testing looks at, in parts of at most twenty minutes on two processors. What the next letters rebuild
 * (prints, strength, survival, house, pick, compare, cost, plan and verdict of a claim, conditions, choice for the sheet) is left out.
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
	sheet: ['sheet/build-sheet.ts']
};
