import { group } from 'd3-array';
import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import type { VERDICT_KINDS } from '$lib/core/closed-lists';
import { countedQuote } from '$lib/core/cost/counted-quote';
import { pricePerKgOf } from '$lib/core/cost/price-per-kg';
import type { PrintSettings } from '$lib/core/evidence/attempt';
import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';
import type { QuantityDef } from '$lib/core/finding/types';
import { candidatesFrom } from '$lib/core/pick/candidates';
import type { RankedFinding } from '$lib/core/pick/ranked-finding';
import { countedPrints } from '$lib/core/prints/counted-prints';
import { settled } from '$lib/core/prints/settled';
import type { Basis } from '$lib/core/trial/basis';
import type { Reader } from '../db/client';
import { trial, trialSpool, verdict } from '../db/schema';
import { isArchived, withFacts } from '../facts/facts';
import { loadEvidence } from '../evidence/load';
import { REMEMBERING_STATIONS } from '../evidence/stations';
import { loadTrial, ofReadable } from '../trials/load';
import { basisOutsideTrials } from './load';
import { readRecall, type RecallQuery } from './recall-query';
import { searchSpools, type SpoolListing } from './search';

/** The marks that are told of every spool, in their order; what was never marked is left out. */
const TOLD = ['strings', 'overhang', 'bridge', 'surface', 'strengthLoad', 'strengthByHand', 'statedHardness'] as const;

export type Recalled = SpoolListing & {
	verdict: { kind: (typeof VERDICT_KINDS)[number]; buyFor: string | null; at: number } | null;
	/** As bought, shipping included; null where no price is known or shown. */
	price: { perKg: number; currency: string } | null;
	marks: { def: QuantityDef; finding: RankedFinding }[];
	/** Prints that finished, of those that count; null while there is none. */
	finished: { count: number; of: number } | null;
	/** Those of the last print that finished. */
	settings: PrintSettings | null;
};

/** Every spool ever seen that answers what was typed, with what one wants to know of it. The same findings as on its own page. */
export async function recallSpools(db: Reader, typed: string, now: number): Promise<Recalled[]> {
	const query = readRecall(typed);
	const listed = (await searchSpools(db, query.words)).filter((s) => s.archived === query.archived);
	const ids = listed.map((s) => s.id);
	if (ids.length === 0) return [];
	const [evidence, verdicts, told] = await Promise.all([loadEvidence(db, ids), newestVerdicts(db, ids), toldOf(db, ids, now)]);
	const of = new Map(evidence.map((e) => [e.spool.id, e]));
	return listed
		.map((spool): Recalled => {
			const known = of.get(spool.id);
			return {
				...spool,
				verdict: verdicts.get(spool.id) ?? null,
				price: known ? priceOf(known) : null,
				marks: told.get(spool.id)?.marks ?? [],
				finished: told.get(spool.id)?.finished ?? null,
				settings: known?.attempts.filter((a) => settled(a) && a.outcome === 'finished').at(-1)?.settings ?? null
			};
		})
		.filter((spool) => answers(spool, query));
}

function answers({ price, marks, finished }: Recalled, { most, least, spotless }: RecallQuery): boolean {
	if (most !== null && (price === null || price.perKg > most)) return false;
	if (least !== null && (price === null || price.perKg < least)) return false;
	return spotless.every((quantity) => {
		if (quantity === 'printSuccess') return finished !== null && finished.count === finished.of;
		const mark = marks.find((m) => m.def.id === quantity);
		return mark !== undefined && isSpotless(mark);
	});
}

/** At its best word. */
const isSpotless = ({ def, finding }: Recalled['marks'][number]): boolean =>
	Math.round(finding.estimate ?? NaN) === (def.direction === 'less' ? def.scale.low : def.scale.high);

function finishedOf(evidence: SpoolEvidence, basis: Basis): Recalled['finished'] {
	const { finished, failed } = countedPrints(evidence, basis);
	return finished + failed === 0 ? null : { count: finished, of: finished + failed };
}

function priceOf(evidence: SpoolEvidence): Recalled['price'] {
	const quote = countedQuote(evidence, { currency: null });
	return quote ? { perKg: pricePerKgOf(quote), currency: quote.currency } : null;
}

/** The newest verdict on each. */
async function newestVerdicts(db: Reader, ids: string[]): Promise<Map<string, Recalled['verdict']>> {
	const rows = await db
		.select({ id: verdict.id, spoolId: verdict.spoolId, kind: verdict.kind, buyFor: verdict.buyFor, at: verdict.at })
		.from(verdict)
		.where(inArray(verdict.spoolId, ids))
		.orderBy(verdict.at);
	const standing = (await withFacts(db, 'verdict', rows)).filter((row) => !isArchived(row));
	return new Map(standing.map(({ spoolId, kind, buyFor, at }) => [spoolId, { kind, buyFor, at }]));
}

/** What was found of each, as its own page says it: by the rules of the newest trial it is in, or by plain ones. */
async function toldOf(db: Reader, ids: string[], now: number): Promise<Map<string, Pick<Recalled, 'marks' | 'finished'>>> {
	const memberships = await db
		.select({ spoolId: trialSpool.spoolId, trialId: trial.id })
		.from(trialSpool)
		.innerJoin(trial, eq(trial.id, trialSpool.trialId))
		.where(and(inArray(trialSpool.spoolId, ids), isNull(trialSpool.leftAt)))
		.orderBy(desc(trial.createdAt));
	const newest = new Map(memberships.toReversed().map((m) => [m.spoolId, m.trialId]));
	const told = new Map<string, Pick<Recalled, 'marks' | 'finished'>>();
	for (const [trialId, of] of group(ids, (id) => newest.get(id) ?? null)) {
		const spools = await loadEvidence(db, of);
		const whole = trialId === null ? null : await ofReadable(() => loadTrial(db, trialId));
		const basis = whole?.basis ?? (await basisOutsideTrials(db, spools));
		const { candidates, defs } = candidatesFrom({ spools, basis, stations: REMEMBERING_STATIONS, now });
		candidates.forEach(({ spoolId, findings }, i) =>
			told.set(spoolId, {
				finished: finishedOf(spools[i] as SpoolEvidence, basis),
				marks: TOLD.flatMap((quantity) => {
					const [def, finding] = [defs.find((d) => d.id === quantity), findings[quantity]];
					return def && finding && finding.n > 0 && finding.estimate !== null ? [{ def, finding }] : [];
				})
			})
		);
	}
	return told;
}
