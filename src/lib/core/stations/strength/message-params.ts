import type { None } from '../../judging/finding/none';

/** What the strength station can say, with the parameters of each sentence; the sentences are in words. */
type StrengthMessages = {
	noSpecimens: None;
	/** C; how many other temperatures the spool's page has. */
	atTemperature: { nozzleC: number; others: number };
	neverBroke: { held: number; n: number };
	/** Loads in N, and the unit they are shown in. */
	allHeld: { n: number; low: number; measure: 'load' | 'blows'; unit: string };
	beyondScale: { high: number; unit: string };
	/** Cells of the record that tell how such parts differ; 0 where that is assumed. */
	oneSpecimen: { cells: number };
	'damage.whitened': { count: number };
	'damage.bentForGood': { count: number };
	'damage.cracked': { count: number };
	'failed.snapped': { count: number };
	'failed.bent': { count: number };
	'failed.layers': { count: number };
	'failed.shattered': { count: number };
	'failed.tore': { count: number };
	'failed.slipped': { count: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends StrengthMessages {}
}
