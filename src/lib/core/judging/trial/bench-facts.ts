import type { MaterialFigures } from '../handbook/figures';
import type { PriorSet } from '../posterior/prior-set';

export type PrinterAbilities = {
	name: string;
	hotEndMaxC: number | null;
	hardenedNozzle: boolean | null;
	enclosed: boolean | null;
	/** Bores that a thickening has to pass. */
	feedPathMm: number | null;
	throatMm: number | null;
	bedMaxC: number | null;
	/** Whether a reel of card turns on its holder, and the heaviest spool it takes, net. */
	cardReels: boolean | null;
	reelMaxG: number | null;
};

/** What the workshop knows, whatever the trial. */
export type BenchFacts = {
	handbook: MaterialFigures[];
	/** What the trial's printer can do; null where no printer is named or nothing is known of it. */
	printer: PrinterAbilities | null;
	/** What the record has taught of such prints and parts. */
	priors: PriorSet;
};
