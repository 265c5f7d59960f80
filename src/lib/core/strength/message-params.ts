import type { None } from '../finding/none';

/** What the strength station can say, with the parameters of each sentence; the sentences are in ui/words. */
export type StrengthMessages = {
	noSpecimens: None;
	neverBroke: { held: number; n: number };
	allHeld: { n: number; low: number };
	weibullFitted: { n: number; broken: number; scale: number; shape: number };
	oneIntervalFits: { low: number; high: number };
	beyondScale: { high: number };
	oneSpecimen: { pct: number };
	'failed.snapped': { count: number };
	'failed.bent': { count: number };
	'failed.layers': { count: number };
	'failed.shattered': { count: number };
	'failed.tore': { count: number };
	'failed.slipped': { count: number };
};
