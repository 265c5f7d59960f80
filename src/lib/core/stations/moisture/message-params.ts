import type { None } from '../../judging/finding/none';

/** What the moisture station can say, with the parameters of each sentence; the sentences are in words. */
type MoistureMessages = {
	notWeighed: None;
	noAirInterval: None;
	cardReel: { pct: number };
	uptakeOver: { pct: number; days: number; from: string };
	waterNotSeen: { limitG: number };
	'tareUnknown.netMass': { low: number; high: number };
	'tareUnknown.usual': { low: number; high: number };
	tareContradicts: { tareG: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends MoistureMessages {}
}
