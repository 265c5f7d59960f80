import type { None } from '../../judging/finding/none';

/** What the handbook station can say, with the parameters of each sentence; the sentences are in words. */
type HandbookMessages = {
	notInHandbook: { material: string };
	printerNotKnown: None;
	fromHandbook: { material: string; source: string };
	'demand.hotEnd': { neededC: number; hasC: number };
	'demand.hardenedNozzle': None;
	'demand.enclosure': None;
	'demand.bed': { neededC: number; hasC: number };
	'demand.cardReel': None;
	'demand.reelSize': { netG: number; mostG: number };
	/** Demands of which nobody noted whether the printer meets them. */
	demandsNotKnown: { count: number };
	demandsMet: None;
	'ask.beyondHotEnd': { isC: number; hasC: number };
	'ask.beyondBed': { isC: number; hasC: number };
	'ask.outsideLabel': { isC: number; lowC: number; highC: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends HandbookMessages {}
}
