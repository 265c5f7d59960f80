/** Strings between two spikes, cleanest first. */
export const STRING_WORDS = ['none', 'wisp', 'slight', 'heavy'] as const;

/** How a piece sat on the bed, worst first: it tore the sheet, its corners came up, it held and had to be prised, it held and let go when cold. */
export const BED_WORDS = ['tears', 'lifts', 'holds', 'releases'] as const;

/** How supports came off, best first. */
export const SUPPORT_WORDS = ['clean', 'marks', 'hard', 'fused'] as const;

/** How a strand went into the feeder: by itself, with a push, only with force, not at all. */
export const LOAD_WORDS = ['glides', 'pushed', 'forced', 'refused'] as const;

/** What a photograph is good for, as the program that measures it says. */
export const PHOTO_WORDS = ['clear', 'doubtful', 'unusable'] as const;

export const SEVERITY_WORDS = ['none', 'faint', 'plain', 'strong'] as const;

/** What can be wrong with a surface, each by its severity. */
export const SURFACE_FAULTS = [
	'surfaceBands',
	'surfaceBlobs',
	'surfaceZits',
	'surfacePinholes',
	'surfaceSeam',
	'surfaceContraction',
	'surfaceDots',
	'surfaceGaps'
] as const;

/** How easily a print went, hardest first. */
export const EASE_WORDS = ['fought', 'fussy', 'easy'] as const;

/** How soft a print feels between the fingers, hardest first. */
export const SOFTNESS_WORDS = ['rigid', 'bends', 'springy', 'soft', 'floppy'] as const;

/** How the longest bridge hung in the middle, best first. */
export const SAG_WORDS = ['flat', 'slight', 'droops', 'fell'] as const;
