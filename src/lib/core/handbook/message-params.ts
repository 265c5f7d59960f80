import type { None } from '../finding/none';

/** What the handbook station can say, with the parameters of each sentence; the sentences are in ui/words. */
export type HandbookMessages = {
	notInHandbook: { material: string };
	printerNotKnown: None;
	fromHandbook: { material: string; source: string };
	'demand.hotEnd': { neededC: number; hasC: number };
	'demand.hardenedNozzle': None;
	'demand.enclosure': None;
	demandsMet: None;
};
