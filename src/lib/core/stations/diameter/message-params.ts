import type { None } from '../../judging/finding/none';

/** What the diameter station can say, with the parameters of each sentence; the sentences are in words. */
export type DiameterMessages = {
	noToleranceStated: None;
	diameterNoClaim: { n: number; low: number; high: number };
	claimKept: { source: string; tolerance: number; lowPct: number };
	claimBroken: { source: string; tolerance: number; highPct: number };
	/** `next`: readings at the next look; `decidesAt`: at the look that would decide it. */
	claimMore: { source: string; tolerance: number; lowPct: number; highPct: number; n: number; next: number; decidesAt: number };
	claimFewSpots: { source: string; tolerance: number; have: number; least: number };
	claimLogUndecided: { source: string; tolerance: number; lowPct: number; highPct: number };
	claimLogTooShort: { source: string; tolerance: number; have: number; least: number };
	claimNeverCheck: { source: string; tolerance: number; outside: number; n: number };
	claimNeverFiner: { source: string; tolerance: number; outside: number; n: number; lowPct: number; highPct: number };
	claimOnePlace: { source: string; tolerance: number };
	'strict.kept': { n: number; source: string; tolerance: number; guard: number };
	'strict.broken': { source: string; tolerance: number; guard: number; chance: number };
	'strict.undecided': { source: string; tolerance: number; guard: number; chance: number };
	'instrument.both': { tolerance: number; u: number };
	'instrument.evenFilament': { tolerance: number; u: number; keepSd: number; breakFrom: number };
	'instrument.onlyBroken': { tolerance: number; u: number; breakFrom: number };
	instrumentUnnamed: { errorLimit: number };
	'budget.errorLimit': None;
	'budget.reference': None;
	'budget.checkScatter': None;
	'budget.raters': None;
	'budget.step': None;
	biasTaken: { n: number; reference: number; bias: number };
	checkFar: { reference: number };
	finestOnly: { n: number; leftAside: number };
	diameterOdd: { typed: string };
	outsideCount: { n: number; outside: number };
	outsideModelled: { pct: number; lowPct: number; highPct: number };
	differsByChance: { n: number };
	differsByScatter: None;
	differsByTails: None;
	differsByStep: { step: number };
	differsByBunching: None;
	'word.kept': { tolerance: number };
	'word.broken': { tolerance: number };
	'word.undecided': { tolerance: number };
	'word.onePlace': None;
	'word.jams': None;
	spreadHidden: { sd: number; repeat: number };
	spreadSeen: { sd: number; repeat: number; own: number };
	capability: { pp: number; ppLow: number; ppHigh: number; ppk: number; ppkLow: number; ppkHigh: number; nEffective: number };
	capabilityUndefined: None;
	toleranceInterval: { low: number; high: number; k: number; nEffective: number };
	driftSeen: { per: 'metre' | 'place'; of: 'log' | 'places'; n: number; slope: number; low: number; high: number };
	driftNotSeen: { per: 'metre' | 'place'; of: 'log' | 'places'; n: number; low: number; high: number };
	firstMetresOnly: None;
	ovalityOfLog: { n: number };
	logWorth: { n: number; metres: number; lag1: number; nEffective: number };
	periodicity: { period: number; amplitude: number; sharePct: number };
	periodicityAliased: { period: number; amplitude: number };
	noPeriodicity: None;
	thickSpotsJam: { assumed: boolean; count: number; peak: number; at: number; limit: number };
	thickSpotsFit: { assumed: boolean; count: number; over: number; peak: number; at: number; limit: number };
	noThickSpots: { over: number };
	worstMetre: { at: number; rms: number };
	noTwoDirections: None;
	ovalityDefined: { n: number };
	flowAdvice: { rms: number; nominal: number };
	flowRipple: { n: number; pct: number; width: number; widthPlus: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends DiameterMessages {}
}
