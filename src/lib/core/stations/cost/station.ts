import type { Quote } from '../../record/evidence/quote';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import { say, type Message } from '../../judging/finding/message';
import type { Finding, Missing } from '../../judging/finding/types';
import { wastePriorOf } from '../../judging/posterior/prior-set';
import { BETA_PROBABILITIES } from '../../judging/posterior/success';
import { contextOf } from '../prints/marks/context';
import { countedPrints } from '../prints/success/counted-prints';
import { ANY_PRINT } from '../prints/success/outcomes';
import type { Station } from '../../judging/station/station';
import { countedQuote } from './counted-quote';
import { costOfGoodPrints, quantileOfCost } from './cost-of-good-prints';
import { pricePerKgOf } from './price-per-kg';
import { costPerGoodKg, pricePerKg } from './quantities';

export const costStation: Station = {
	id: 'cost',
	quantities: (basis) => [pricePerKg(basis), costPerGoodKg(basis)],
	find(evidence, basis) {
		const quote = countedQuote(evidence, basis);
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
		context: {
			...EMPTY_CONTEXT,
			currencies: quote ? [quote.currency] : [],
			priceKinds: quote ? [quote.kind] : [],
			from: quote?.seenAt ?? null,
			to: quote?.seenAt ?? null
		},
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
	if (!quote) return makeFinding(pricePerKg(basis), { ...base, sampling: { kind: 'unknown', reason: noPrice(evidence, basis) } });
	const estimate = pricePerKgOf(quote);
	return makeFinding(pricePerKg(basis), {
		...base,
		estimate,
		n: 1,
		sampling: { kind: 'exact', value: estimate },
		messages: quoteMessages(evidence, quote),
		figure: { kind: 'bar', base: estimate }
	});
}

/**
 * Cost of a kilogram that ends in good prints: the price is exact, the chance of a failure and what one wastes are not. Not printed yet: what such
 * prints usually fail. Tried and never finished: no cost, and behind all that finished one.
 */
function findGood(evidence: SpoolEvidence, quote: Quote | null, basis: Basis): Finding {
	const def = costPerGoodKg(basis);
	const { counted, finished, failed, reached, success, cells } = countedPrints(evidence, basis);
	const printed = contextOf(evidence, counted);
	const of = common(evidence, quote, basis);
	const base = {
		...of,
		// On which pieces and in which state: how they were printed is told beside success itself.
		context: { ...of.context, pieces: printed.pieces, conditions: printed.conditions },
		method: 'costPerGoodKg',
		source: 'geometric failures before a success; beta laws with the prior of the record (docs/methods/pick.md)',
		priorSet: basis.priors.number
	};
	const n = finished + failed;
	if (finished === 0 && n > 0)
		return makeFinding(def, {
			...base,
			n,
			sampling: { kind: 'never', reason: say('neverPrinted', { n }) },
			word: say('noGoodPrint'),
			messages: [say('neverPrinted', { n }), ...(quote ? quoteMessages(evidence, quote) : [])],
			gradeAtMost: 'thin',
			figure: { kind: 'bar', base: quote ? pricePerKgOf(quote) : null }
		});
	if (!quote) return makeFinding(def, { ...base, sampling: { kind: 'unknown', reason: noPrice(evidence, basis) } });
	const perKg = pricePerKgOf(quote);
	const waste = wastePriorOf(basis.priors);
	const cost = costOfGoodPrints(perKg, success, reached, waste);
	return makeFinding(def, {
		...base,
		estimate: cost.estimate,
		n,
		interval: { low: cost.low, high: cost.high, level: 0.95, kind: 'credible' },
		sampling: {
			kind: 'quantiles',
			probabilities: [...BETA_PROBABILITIES],
			values: BETA_PROBABILITIES.map((p) => quantileOfCost(cost.ordered, p))
		},
		missing: n === 0 ? [ANY_PRINT] : of.missing,
		messages: [
			n === 0
				? say('noPrintsForCost', { perKg, cells })
				: say('costFormula', { perKg, failed, n, failurePct: (1 - success.estimate) * 100 }),
			...(failed === 0 ? [say('wasteAssumed', { cells: waste.cells })] : []),
			...quoteMessages(evidence, quote)
		],
		figure: { kind: 'bar', base: perKg }
	});
}
