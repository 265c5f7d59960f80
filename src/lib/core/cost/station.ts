import { betaQuantile } from '../stats/distributions';
import type { Quote } from '../evidence/quote';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { Basis } from '../trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding, Missing } from '../finding/types';
import { ANY_PRINT, outcomes } from '../prints/outcomes';
import type { Station } from '../station';
import { wilsonInterval } from '../stats/wilson';
import { pricePerKgOf } from './price-per-kg';
import { costPerGoodKg, pricePerKg } from './quantities';
import { wasteFactor } from './waste-factor';

/** Share of a print that a failure wastes while none was seen (common practice, no source). Shown with the result. */
const ASSUMED_WASTE_SHARE = 0.5;

/** Where the distribution of the cost is tabulated; its ends stop short of a chance of failure of 1. */
const PROBABILITIES = [0, 0.025, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 0.975, 0.995];

export const costStation: Station = {
	id: 'cost',
	quantities: () => [pricePerKg, costPerGoodKg],
	find(evidence, basis) {
		const quote = evidence.quotes.find((q) => basis.currency === null || q.currency === basis.currency) ?? null;
		return [findPrice(evidence, quote, basis), findGood(evidence, quote, basis)];
	},
	next: (findings) => findings.filter((f) => f.quantity === 'pricePerKg').flatMap((f) => f.missing)
};

function common(evidence: SpoolEvidence, quote: Quote | null, basis: Basis) {
	const missing: Missing[] =
		quote || evidence.pricesHidden
			? []
			: [
					{
						action: 'addPrice',
						station: 'cost',
						count: 1,
						minutes: 1,
						params: { currency: evidence.quotes.length > 0 ? basis.currency : null }
					}
				];
	return {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: { ...EMPTY_CONTEXT, currencies: quote ? [quote.currency] : [], from: quote?.seenAt ?? null, to: quote?.seenAt ?? null },
		inputs: { used: quote ? [quote.id] : [], excluded: [], revision: evidence.spool.revision },
		missing
	};
}

/** Why there is no price: hidden, none noted, or none in the trial's currency (nothing is converted). */
function noPrice(evidence: SpoolEvidence, basis: Basis): Message {
	const [other] = evidence.quotes;
	if (other) return say('otherCurrency', { currency: other.currency, wanted: basis.currency ?? '' });
	return say(evidence.pricesHidden ? 'priceHidden' : 'noPrice');
}

function quoteMessages(evidence: SpoolEvidence, quote: Quote): Message[] {
	const free: Message[] = evidence.spool.obtained === 'suppliedFree' ? [say('suppliedFree')] : [];
	const order: Message = say('quoteUsed', {
		price: quote.priceMinor / 100,
		shipping: quote.shippingMinor / 100,
		currency: quote.currency,
		quantity: quote.quantity,
		netMassG: quote.netMassG,
		kind: quote.kind
	});
	return [order, ...free];
}

function findPrice(evidence: SpoolEvidence, quote: Quote | null, basis: Basis): Finding {
	const base = { ...common(evidence, quote, basis), method: 'pricePerKg', source: 'arithmetic' };
	if (!quote) return makeFinding(pricePerKg, { ...base, sampling: { kind: 'unknown', reason: noPrice(evidence, basis) } });
	const estimate = pricePerKgOf(quote);
	return makeFinding(pricePerKg, {
		...base,
		estimate,
		n: 1,
		sampling: { kind: 'exact', value: estimate },
		messages: quoteMessages(evidence, quote),
		figure: { kind: 'bar', base: estimate }
	});
}

/** Cost per kilogram that ends in good prints. The price is exact; the chance of failure is not, so the cost has its interval. */
function findGood(evidence: SpoolEvidence, quote: Quote | null, basis: Basis): Finding {
	const base = {
		...common(evidence, quote, basis),
		method: 'costPerGoodKg',
		source: 'geometric failures before a success; Wilson 1927; Jeffreys beta for draws'
	};
	if (!quote) return makeFinding(costPerGoodKg, { ...base, sampling: { kind: 'unknown', reason: noPrice(evidence, basis) } });
	const perKg = pricePerKgOf(quote);
	const { finished, failed, wasteShare } = outcomes(evidence.attempts, basis.failureRule);
	const n = finished + failed;
	const w = wasteShare ?? ASSUMED_WASTE_SHARE;
	// The chance of failure stays below 1: a spool that never printed has no finite cost of good prints.
	const cost = (f: number) => perKg * wasteFactor(Math.min(f, 0.99), w);
	const sampling = {
		kind: 'quantiles' as const,
		probabilities: PROBABILITIES,
		values: PROBABILITIES.map((p) => cost(p === 0 ? 0 : betaQuantile(p, failed + 0.5, finished + 0.5)))
	};
	const messages = quoteMessages(evidence, quote);
	if (n === 0)
		return makeFinding(costPerGoodKg, {
			...base,
			sampling,
			messages: [say('noPrintsForCost', { perKg }), ...messages],
			missing: [ANY_PRINT],
			figure: { kind: 'bar', base: perKg }
		});
	const wilson = wilsonInterval(failed, n) as { low: number; high: number };
	const assumed: Message[] = wasteShare === null ? [say('wasteAssumed', { sharePct: w * 100 })] : [];
	if (finished === 0)
		return makeFinding(costPerGoodKg, {
			...base,
			n,
			sampling,
			messages: [say('neverPrinted', { n }), ...messages],
			gradeAtMost: 'thin',
			figure: { kind: 'bar', base: perKg }
		});
	const estimate = cost(failed / n);
	return makeFinding(costPerGoodKg, {
		...base,
		estimate,
		n,
		interval: { low: cost(wilson.low), high: cost(wilson.high), level: 0.95, kind: 'confidence' },
		sampling,
		messages: [say('costFormula', { perKg, failed, n, wastePct: w * 100 }), ...assumed, ...messages],
		figure: { kind: 'bar', base: perKg }
	});
}
