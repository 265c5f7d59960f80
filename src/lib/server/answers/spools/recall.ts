import { nth } from '$lib/core/kernel/lists/nth';
import { inArray } from 'drizzle-orm';
import type { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
import { countedQuote } from '$lib/core/stations/cost/counted-quote';
import { pricePerKgOf } from '$lib/core/stations/cost/price-per-kg';
import type { PrintSettings } from '$lib/core/record/evidence/attempt';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import { candidatesFrom } from '$lib/core/answers/pick/candidates';
import type { RankedFinding } from '$lib/core/answers/pick/ranked-finding';
import { countedPrints } from '$lib/core/stations/prints/success/counted-prints';
import { settled } from '$lib/core/record/evidence/settled';
import type { Basis } from '$lib/core/judging/trial/basis';
import type { Database, Reader } from '../../base/db/client';
import { verdict } from '../../base/db/schema';
import { isArchived, withFacts } from '../../record/facts/facts';
import { loadEvidence } from '../../record/evidence/load';
import { giveWay, REMEMBERING_STATIONS } from '../findings/stations';
import { loadTrial, ofReadable } from '../trials/load';
import { basisOutsideTrials } from './load';
import { readRecall, type RecallQuery } from './recall-query';
import { toldOfSpools } from './list-spools';
import { findSpools, LIMIT, listSpools, type SpoolListing } from './search';

/** The marks that are told of every spool, in their order; what was never marked is left out. */
const TOLD = ['strings', 'overhang', 'bridge', 'surface', 'strengthLoad', 'strengthByHand', 'statedHardness'] as const;

type Recalled = SpoolListing & {
	verdict: { kind: (typeof VERDICT_KINDS)[number]; buyFor: string | null; at: number } | null;
	/** As bought, shipping included; null where no price is known or shown. */
	price: { perKg: number; currency: string } | null;
	marks: { def: QuantityDef; finding: RankedFinding }[];
	/** Prints that finished, of those that count; null while there is none. */
	finished: { count: number; of: number } | null;
	/** Those of the last print that finished. */
	settings: PrintSettings | null;
};

/** What lists show of one spool beside what it is. */
type Told = Pick<Recalled, 'price' | 'marks' | 'finished' | 'settings'>;

/** A page of the spools that answer. */
export type RecallPage = {
	spools: Recalled[];
	/** How many answer in all, on which page this is, and how many pages there are. */
	total: number;
	page: number;
	pages: number;
	/** Spools whose marks are still being worked out: a condition on marks or prices may yet let them in. */
	pending: number;
};

/** So long a page works out what is not kept, ms; the rest is worked out beside the server (keep-listings). */
const PATIENCE_MS = 400;

/** Every spool ever seen that answers what was typed, with what one wants to know of it, page by page. The same findings as on its own page. */
export async function recallSpools(db: Database, typed: string, page = 1): Promise<RecallPage> {
	const query = readRecall(typed);
	const ids = await findSpools(db, query.words, { archived: query.archived });
	const conditions = query.most !== null || query.least !== null || query.spotless.length > 0;
	const pageOf = (of: readonly string[]) => of.slice((page - 1) * LIMIT, page * LIMIT);
	// With a condition on marks every spool is asked, else those of the page.
	const asked = conditions ? ids : pageOf(ids);
	const told = await toldOfSpools(db, asked, (trialId, of) => workOut(db, trialId, of), PATIENCE_MS);
	const answering = conditions ? ids.filter((id) => answers(told.get(id), query)) : ids;
	const shown = pageOf(answering);
	const [listed, verdicts] = await Promise.all([listSpools(db, shown), newestVerdicts(db, shown)]);
	return {
		spools: listed.map((spool): Recalled => ({
			...spool,
			verdict: verdicts.get(spool.id) ?? null,
			...(told.get(spool.id) ?? NOTHING_TOLD)
		})),
		total: answering.length,
		page,
		pages: Math.max(1, Math.ceil(answering.length / LIMIT)),
		pending: asked.filter((id) => !told.has(id)).length
	};
}

const NOTHING_TOLD: Told = { price: null, marks: [], finished: null, settings: null };

/** Works out what lists show of every spool where it is not kept yet. */
export async function keepAllListings(db: Database): Promise<void> {
	await toldOfSpools(db, await findSpools(db, ''), (trialId, of) => workOut(db, trialId, of));
}

/** What was found of spools, as their own pages say it: by the rules of the newest trial they are in, or by plain ones. */
async function workOut(db: Reader, trialId: string | null, ids: string[]): Promise<Map<string, Told>> {
	const spools = await loadEvidence(db, ids);
	const whole = trialId === null ? null : await ofReadable(() => loadTrial(db, trialId));
	const basis = whole?.basis ?? (await basisOutsideTrials(db, spools));
	await giveWay(spools, basis);
	const { candidates, defs } = candidatesFrom({ spools, basis, stations: REMEMBERING_STATIONS });
	return new Map(
		candidates.map(({ spoolId, findings }, i) => {
			const evidence = nth(spools, i);
			const told: Told = {
				price: priceOf(evidence),
				finished: finishedOf(evidence, basis),
				settings: evidence.attempts.filter((a) => settled(a) && a.outcome === 'finished').at(-1)?.settings ?? null,
				marks: TOLD.flatMap((quantity) => {
					const [def, finding] = [defs.find((d) => d.id === quantity), findings[quantity]];
					return def && finding && finding.n > 0 && finding.estimate !== null ? [{ def, finding }] : [];
				})
			};
			return [spoolId, told];
		})
	);
}

function answers(told: Told | undefined, { most, least, spotless }: RecallQuery): boolean {
	if (!told) return false;
	const { price, marks, finished } = told;
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
	if (ids.length === 0) return new Map();
	const rows = await db
		.select({ id: verdict.id, spoolId: verdict.spoolId, kind: verdict.kind, buyFor: verdict.buyFor, at: verdict.at })
		.from(verdict)
		.where(inArray(verdict.spoolId, ids))
		.orderBy(verdict.at);
	const standing = (await withFacts(db, 'verdict', rows)).filter((row) => !isArchived(row));
	return new Map(standing.map(({ spoolId, kind, buyFor, at }) => [spoolId, { kind, buyFor, at }]));
}
