import type { Oddity } from '$lib/core/stations/intake/station';

/** What each thing at unboxing is called and an example of what could be odd about it. */
export const ODDITY_WORDS: Record<Oddity, { name: string; example: string }> = {
	seal: { name: 'Seal', example: 'bag open, no vacuum' },
	desiccant: { name: 'Desiccant', example: 'none, or a tiny packet' },
	winding: { name: 'Winding', example: 'loose, crossed, kinked' },
	label: { name: 'Label', example: 'no temperature anywhere' },
	spoolBody: { name: 'Spool body', example: 'card, cracked rim' },
	dirt: { name: 'Dirt', example: 'flecks in the strand' },
	odour: { name: 'Odour', example: 'sharp, sour' },
	brittle: { name: 'Brittle', example: 'loose end snapped' }
};
