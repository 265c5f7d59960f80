/** What a restore is at. */
const STEPS = {
	reading: 'Reading the backup',
	keeping: 'Saving what is here now',
	loading: 'Loading the backup',
	checking: 'Checking that all of it is there',
	replacing: 'Putting it in place'
} as const;

export type RestoreStepWord = keyof typeof STEPS;

/**
 * What a restore is at, with how far it is where that is known.
 * @example restoreStepWords('loading', 0.42) // 'Loading the backup, 42 %'
 */
export const restoreStepWords = (step: RestoreStepWord, part: number): string =>
	part > 0 ? `${STEPS[step]}, ${Math.floor(part * 100)} %` : STEPS[step];

/** Why a backup was made. */
export const BACKUP_KIND_WORDS = {
	backup: 'made by hand',
	daily: 'daily',
	'before-restore': 'before a restore',
	'before-migration': 'before an update',
	'before-reset': 'before a reset of the demo'
} as const;
