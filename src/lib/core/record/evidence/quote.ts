import type { QUOTE_KINDS } from '../lists/closed-lists';

export type Quote = {
	id: string;
	priceMinor: number;
	shippingMinor: number;
	currency: string;
	quantity: number;
	netMassG: number;
	seenAt: number;
	kind: (typeof QUOTE_KINDS)[number];
};
