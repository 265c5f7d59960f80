import type { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
import { and, desc, eq, isNull, ne } from 'drizzle-orm';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Basis } from '$lib/core/judging/trial/basis';
import type { Finding } from '$lib/core/judging/finding/types';
import { conditionAt } from '$lib/core/record/conditions/condition-at';
import type { Message } from '$lib/core/judging/finding/message';
import { demandsUnmet } from '$lib/core/stations/handbook/demands';
import { dryFirst } from '$lib/core/stations/prints/ways/dry-first';
import { overDays, overWater, type MarkOver } from '$lib/core/stations/prints/marks/marks-over';
import { wetAndDry, wetDryFinished, type StateThen, type WetDry } from '$lib/core/stations/prints/ways/wet-dry';
import { stated } from '$lib/core/record/claims/stated';
import { STRENGTH } from '$lib/core/answers/pick/order';
import { STATIONS } from '$lib/core/joins/registry';
import { strengthStation } from '$lib/core/stations/strength/station';
import { timesClaim, type TimesTold } from '$lib/core/stations/strength/times-claim';
import type { Reader } from '../../base/db/client';
import { STEP_PIECE } from '../../base/db/defaults';
import { ownMeasure, quote, reading, spool, trial, trialSpool, verdict } from '../../base/db/schema';
import { loadEvidence } from '../../record/evidence/load';
import { loadAmendments, type SpoolAmendment } from '../../record/evidence/load-events';
import { loadNotes, type NoteRow } from '../../record/notes/load';
import { isArchived, withFacts } from '../../record/facts/facts';
import { applyAmendments } from '$lib/core/record/amendments/apply';
import { asOwnMeasure } from '../../record/own/measure';
import { loadHandbook } from '../../record/handbook/handbook';
import { loadPieces } from '../../record/pieces/load';
import { notFound } from '../../base/problem';
import { basisOf } from '../trials/basis-of';
import { newestPriors } from '../../record/priors/load';
import { currentHouseSpool } from '../trials/house';
import { loadTrial, ofReadable } from '../trials/load';
import { listWorkshop } from '../../stations/workshop/workshop';
import { loadParts } from '../../stations/use-log/use-log';
import { type PartInService } from '../../../schemas/use-log';

type RawReading = { id: string; value: number | null; typedText: string; typedUnit: string };

export type SpoolWhole = {
	evidence: SpoolEvidence;
	filamentId: string;
	findings: Finding[];
	basis: Basis;
	notes: NoteRow[];
	parts: PartInService[];
	wetDry: WetDry[];
	/** What its maker says of its strength, beside the house spool; null where nothing is said. */
	timesClaim: TimesTold | null;
	/** Prints that finished before and after drying; null where there is nothing to compare. */
	driedFinished: Message | null;
	marksOver: MarkOver[];
	/** What it asks of each printer of the workshop that the printer lacks. */
	lacks: { id: string; who: string; demands: Message[] }[];
	/** The state it is in now, with its age in days. */
	state: StateThen;
	/** Why it should be dried before it is used. */
	dryFirst: Message[];
	/** Other spools of the same product that wanted drying first; none where this one was dried, or says so itself. */
	driedFellows: { id: string; code: string; reasons: Message[] }[];
	/** Of the spool and its records, then of its product and prices; those are withheld with the names. */
	amendments: SpoolAmendment[];
	/** Prices that were marked invalid. */
	struckQuotes: { id: string; priceMinor: number; currency: string }[];
	/** How many reels of its product are here. */
	reels: number;
	archived: boolean;
	/** Raw values of corrected readings: what they were before. */
	raw: RawReading[];
	trials: { id: string; name: string; role: string }[];
	verdicts: { id: string; trialId: string; kind: (typeof VERDICT_KINDS)[number]; buyFor: string | null; note: string | null; at: number }[];
};

/** The protocol a spool is looked at with outside any trial: everything asked for once. */
const PLAIN_PROTOCOL = {
	settingsPolicy: 'label' as const,
	conditionPolicy: 'asReceived' as const,
	pieceIds: [STEP_PIECE.id],
	repeats: 1,
	diameterPlaces: 5,
	diameterDirections: 2,
	strengthHighN: 400,
	claimRule: 'share' as const,
	failureRule: 'filament' as const,
	currency: null,
	printer: null
};

/** A spool that is in a trial is looked at as there, so that every page says the same of it. */
async function basisOfNewestTrial(db: Reader, trials: readonly { id: string }[]): Promise<Basis | null> {
	for (const { id } of trials) {
		const whole = await ofReadable(() => loadTrial(db, id));
		if (whole) return whole.basis;
	}
	return null;
}

/** What spools outside any trial are looked at by. */
export async function basisOutsideTrials(
	db: Reader,
	spools: readonly SpoolEvidence[],
	measures: (typeof ownMeasure.$inferSelect)[] = []
): Promise<Basis> {
	const set = {
		...PLAIN_PROTOCOL,
		ownMeasures: measures.map((measure) => asOwnMeasure(measure, true))
	};
	const [pieces, handbook, priors] = await Promise.all([loadPieces(db), loadHandbook(db), newestPriors(db)]);
	return basisOf(set, { candidates: spools, house: null, beside: spools }, { pieces, handbook, priors });
}

/** Everything known of one spool, for its page and the API. */
export async function loadSpool(db: Reader, spoolId: string, now: number): Promise<SpoolWhole> {
	const [evidence] = await loadEvidence(db, [spoolId]);
	if (!evidence) throw notFound('spool');
	const [[owner], notes, amendments, raw, trials, verdicts, measures] = await Promise.all([
		db.select({ filamentId: spool.filamentId }).from(spool).where(eq(spool.id, spoolId)),
		loadNotes(db, [spoolId]),
		loadAmendments(db, [spoolId]),
		db
			.select({ id: reading.id, value: reading.value, typedText: reading.typedText, typedUnit: reading.typedUnit })
			.from(reading)
			.where(eq(reading.spoolId, spoolId)),
		db
			.select({ id: trial.id, name: trial.name, role: trialSpool.role })
			.from(trialSpool)
			.innerJoin(trial, eq(trial.id, trialSpool.trialId))
			.where(and(eq(trialSpool.spoolId, spoolId), isNull(trialSpool.leftAt)))
			.orderBy(desc(trial.createdAt)),
		db
			.select({ id: verdict.id, trialId: verdict.trialId, kind: verdict.kind, buyFor: verdict.buyFor, note: verdict.note, at: verdict.at })
			.from(verdict)
			.where(eq(verdict.spoolId, spoolId))
			.orderBy(desc(verdict.at)),
		db
			.selectDistinct({ measure: ownMeasure })
			.from(ownMeasure)
			.innerJoin(reading, eq(reading.ownMeasureId, ownMeasure.id))
			.where(eq(reading.spoolId, spoolId))
			.then((rows) =>
				withFacts(
					db,
					'ownMeasure',
					rows.map((r) => r.measure)
				)
			)
	]);
	if (!owner) throw notFound('spool');
	const basis = (await basisOfNewestTrial(db, trials)) ?? (await basisOutsideTrials(db, [evidence], measures));
	const then = conditionAt(evidence, now);
	const state = { kind: then.kind, days: then.since === null ? null : (now - then.since) / 86_400_000 };
	const wanted = state.kind === 'dried' ? [] : dryFirst(evidence, basis);
	const ofProduct = evidence.pricesHidden ? [] : ((await loadAmendments(db, [owner.filamentId])).get(owner.filamentId) ?? []);
	const [reels, quotes] = await Promise.all([
		db.$count(spool, eq(spool.filamentId, owner.filamentId)),
		db
			.select({ id: quote.id, priceMinor: quote.priceMinor, currency: quote.currency })
			.from(quote)
			.where(eq(quote.filamentId, owner.filamentId))
	]);
	const corrected = new Set(evidence.readings.filter((r) => r.corrected).map((r) => r.id));
	return {
		evidence,
		filamentId: owner.filamentId,
		basis,
		findings: STATIONS.flatMap((s) => s.find(evidence, basis)),
		notes,
		parts: await loadParts(db, [spoolId]),
		wetDry: wetAndDry(evidence, basis),
		timesClaim: await timesClaimOf(db, evidence, basis),
		driedFinished: wetDryFinished(evidence, basis),
		marksOver: [...overDays(evidence, basis), ...overWater(evidence, basis)],
		lacks: (await listWorkshop(db)).printers
			.filter((p) => !p.archived)
			.map((p) => ({
				id: p.id,
				who: `On ${p.name}`,
				demands: demandsUnmet(evidence, p, basis.handbook)
			})),
		state,
		dryFirst: wanted,
		driedFellows: wanted.length > 0 || state.kind === 'dried' ? [] : await fellowsDriedFirst(db, owner.filamentId, spoolId, basis),
		amendments: [...(amendments.get(spoolId) ?? []), ...ofProduct]
			// How it was obtained is withheld with the price.
			.filter((a) => !(evidence.pricesHidden && a.replacement?.obtained !== undefined))
			.toSorted((a, b) => a.at - b.at),
		struckQuotes: evidence.pricesHidden ? [] : quotes.filter((q) => !evidence.quotes.some((here) => here.id === q.id)),
		reels,
		archived: isArchived(applyAmendments({ id: spoolId }, amendments.get(spoolId) ?? [])),
		raw: raw.filter((r) => corrected.has(r.id)),
		trials: await withFacts(db, 'trial', trials),
		verdicts: (await withFacts(db, 'verdict', verdicts)).filter((v) => !isArchived(v))
	};
}

async function timesClaimOf(db: Reader, evidence: SpoolEvidence, basis: Basis): Promise<TimesTold | null> {
	const claim = stated(evidence.claims, 'timesAsStrong');
	if (!claim) return null;
	const houseId = await currentHouseSpool(db);
	const [house] = houseId && houseId !== evidence.spool.id ? await loadEvidence(db, [houseId]) : [];
	const loads = (of: SpoolEvidence) => strengthStation.find(of, basis).filter((f) => f.quantity === STRENGTH);
	return {
		stated: claim.value,
		house: house?.spool.code ?? null,
		judged: house ? timesClaim(claim.value, loads(evidence), loads(house)) : null
	};
}

/** Fellows that are looked at for their advice: the newest. */
const MOST_FELLOWS = 5;

/** Other spools of a product that should have been dried first: this one will be no drier. */
async function fellowsDriedFirst(db: Reader, filamentId: string, spoolId: string, basis: Basis): Promise<SpoolWhole['driedFellows']> {
	const rows = await db
		.select({ id: spool.id })
		.from(spool)
		.where(and(eq(spool.filamentId, filamentId), ne(spool.id, spoolId)))
		.orderBy(desc(spool.createdAt))
		.limit(MOST_FELLOWS);
	const fellows = await loadEvidence(
		db,
		rows.map((r) => r.id)
	);
	return fellows.flatMap((fellow) => {
		const reasons = dryFirst(fellow, basis);
		return reasons.length === 0 ? [] : [{ id: fellow.spool.id, code: fellow.spool.code, reasons }];
	});
}
