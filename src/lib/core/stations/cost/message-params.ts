import type { None } from '../../judging/finding/none';

/** What the cost station can say, with the parameters of each sentence; the sentences are in words. */
type CostMessages = {
	noPrice: None;
	priceHidden: None;
	/** Cells of the record that tell how often such prints fail; 0 where that is assumed. */
	noPrintsForCost: { perKg: number; cells: number };
	noGoodPrint: None;
	neverPrinted: { n: number };
	costFormula: { failed: number; n: number; perKg: number; failurePct: number };
	/** Spools of the record that tell how much failures waste; 0 where that is assumed. */
	wasteAssumed: { cells: number };
	quoteUsed: { shipping: number; price: number; quantity: number; netMassG: number; kind: string; currency: string };
	otherCurrency: { currency: string; wanted: string };
	suppliedFree: None;
};

declare module '../../judging/finding/message' {
	interface MessageParams extends CostMessages {}
}
