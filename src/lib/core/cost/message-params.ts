import type { None } from '../finding/none';

/** What the cost station can say, with the parameters of each sentence; the sentences are in ui/words. */
export type CostMessages = {
	noPrice: None;
	priceHidden: None;
	noPrintsForCost: { perKg: number };
	neverPrinted: { n: number };
	costFormula: { failed: number; n: number; perKg: number; wastePct: number };
	wasteAssumed: { sharePct: number };
	quoteUsed: { shipping: number; price: number; quantity: number; netMassG: number; kind: string; currency: string };
	otherCurrency: { currency: string; wanted: string };
	suppliedFree: None;
};
