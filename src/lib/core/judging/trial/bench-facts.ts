import type { PrinterFacts } from '../../record/facts/printer-facts';
import type { MaterialFigures } from '../handbook/figures';
import type { PriorSet } from '../posterior/prior-set';

/** What a printer can do, under its name. */
export type PrinterAbilities = Omit<PrinterFacts, 'nozzle'>;

/** What the workshop knows, whatever the trial. */
export type BenchFacts = {
	handbook: MaterialFigures[];
	/** What the trial's printer can do; null where no printer is named or nothing is known of it. */
	printer: PrinterAbilities | null;
	/** What the record has taught of such prints and parts. */
	priors: PriorSet;
};
