import { blindFacts, factsAmong } from '$lib/core/record/facts/fact-entry';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { applyAmendments, type Amendment } from '$lib/core/record/amendments/apply';
import { USUAL_NOMINAL_MM } from '$lib/core/record/claims/nominal';
import type { Attempt, PrintSettings } from '$lib/core/record/evidence/attempt';
import type { Claim } from '$lib/core/record/evidence/claim';
import type { Instrument } from '$lib/core/record/evidence/instrument';
import type { Piece } from '$lib/core/record/evidence/piece';
import type { Quote } from '$lib/core/record/evidence/quote';
import type { Reading } from '$lib/core/record/evidence/reading';
import type { DamagedRecord, SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Reader } from '../../base/db/client';
import {
	attempt,
	claim,
	filament,
	instrument,
	lot,
	maker,
	purchase,
	quote,
	server,
	specimen,
	spool,
	trial,
	trialSpool
} from '../../base/db/schema';
import { loadLogs } from '../logs/logs';
import { isValidRow } from '../rows/row-schema';
import { withFacts } from '../facts/facts';
import { loadPieces } from '../pieces/load';
import { loadChecks } from '../instruments/checks';
import { loadPrinters } from '../instruments/printers';
import { loadStudies } from '../instruments/studies';
import { letOthersIn, turns } from '../../base/polite/let-others-in';
import { loadHandbook } from '../handbook/handbook';
import { dryForHours } from './dry-for';
import { cachedEvidence, cacheKey, rememberEvidence } from './cache';
import { groupBy } from '../../base/group';
import { loadAmendments, loadEvents } from './load-events';
import { readReadings } from './read-readings';

/**
 * The evidence of spools as core takes it: raw rows after amendments, names and prices withheld where a blind trial has the spool.
 * A fixed number of queries, however many spools; none but two for spools that did not change since they were last read.
 * Returned in the order asked for; unknown ids are left out.
 */
export async function loadEvidence(db: Reader, spoolIds: string[]): Promise<SpoolEvidence[]> {
	if (spoolIds.length === 0) return [];
	const [revisions, hidden] = await Promise.all([
		db
			.select({
				id: spool.id,
				revision: spool.revision,
				server: server.id,
				epoch: server.epoch,
				// For how long a spool stays dry is the handbook's to say.
				handbook: sql<string | null>`(SELECT MAX(seq) FROM handbook_entry)`
			})
			.from(spool)
			.leftJoin(server, sql`TRUE`)
			.where(inArray(spool.id, spoolIds)),
		hiddenSpools(db, spoolIds)
	]);
	// What a transaction sees of its own may still be taken back, so it neither reads nor feeds the cache.
	const shared = !('rollback' in db);
	const keys = new Map(revisions.map((r) => [r.id, cacheKey(`${r.server} ${r.epoch} ${r.handbook ?? ''}`, r.revision, hidden.has(r.id))]));
	const known = new Map(shared ? [...keys].flatMap(([id, key]) => [[id, cachedEvidence(id, key)] as const]) : []);
	const missing = [...keys.keys()].filter((id) => !known.get(id));
	const fresh = missing.length > 0 ? await readEvidence(db, missing, hidden) : new Map<string, SpoolEvidence>();
	if (shared) for (const [id, evidence] of fresh) rememberEvidence(keys.get(id) ?? '', evidence);
	return spoolIds.flatMap((id) => known.get(id) ?? fresh.get(id) ?? []);
}

async function readEvidence(db: Reader, spoolIds: string[], hidden: ReadonlySet<string>): Promise<Map<string, SpoolEvidence>> {
	const spools = await db
		.select({ spool, filament, maker, lot })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.innerJoin(maker, eq(maker.id, filament.makerId))
		.leftJoin(lot, eq(lot.id, spool.lotId))
		.where(inArray(spool.id, spoolIds));
	const filamentIds = [...new Set(spools.map((s) => s.filament.id))];
	if (filamentIds.length === 0) return new Map();
	const [amendments, events, readings, attempts, printers, specimens, claims, quotes, instruments, pieces, checks, studies, handbook] =
		await Promise.all([
			loadAmendments(db, spoolIds),
			loadEvents(db, spoolIds),
			readReadings(db, spoolIds),
			db.select().from(attempt).where(inArray(attempt.spoolId, spoolIds)).orderBy(asc(attempt.at), asc(attempt.id)),
			printersAsTheyStand(db),
			db.select().from(specimen).where(inArray(specimen.spoolId, spoolIds)).orderBy(asc(specimen.at), asc(specimen.id)),
			db.select().from(claim).where(inArray(claim.filamentId, filamentIds)).orderBy(desc(claim.seq)),
			loadQuotes(db, spoolIds, filamentIds),
			db
				.select()
				.from(instrument)
				.then((rows) => withFacts(db, 'instrument', rows)),
			loadPieces(db),
			loadChecks(db),
			loadStudies(db),
			loadHandbook(db)
		]);
	const claimsOf = groupBy(claims, (c) => c.filamentId);
	const nominal = new Map(
		spools.map(({ spool: s, filament: f }) => [s.id, claimsOf.get(f.id)?.find((c) => c.quantity === 'diameter')?.value])
	);
	const { logs, damaged } = await loadLogs(db, spoolIds, (id) => nominal.get(id) ?? USUAL_NOMINAL_MM, amendments);
	const readingsOf = groupBy(readings, (r) => r.spoolId);
	const specimensOf = groupBy(specimens, (one) => one.spoolId);
	const attemptOf = new Map(specimens.map((one) => [one.id, one.attemptId]));
	const attemptsOf = groupBy(attempts, (a) => a.spoolId);
	const turn = turns();
	await noteUnreadable({ attempts, specimens }, damaged, turn);
	// One list for all spools, so that a page that carries many of them carries it once.
	const onBench = {
		instruments: sameAsBefore(
			'instruments',
			instruments.map((i): Instrument => ({
				id: i.id,
				name: i.name,
				quantity: i.quantity,
				resolution: i.resolution,
				errorLimit: i.errorLimit,
				checks: checks.get(i.id) ?? [],
				studies: studies.get(i.id) ?? []
			}))
		),
		pieces: sameAsBefore(
			'pieces',
			pieces.map(({ id, familyId, version, name, marks, params }): Piece => ({ id, familyId, version, name, marks, params }))
		)
	};
	const unreadable = new Set([...damaged.values()].flat().map((d) => d.id));
	const read = new Map<string, SpoolEvidence>();
	for (const { spool: s, filament: f, maker: m, lot: l } of spools) {
		if (turn.over()) await letOthersIn();
		const amended: Amendment[] = amendments.get(s.id) ?? [];
		const facts = applyAmendments(
			{
				id: s.id,
				...factsAmong(SPOOL_FACTS, { ...s, lot: l?.code })
			},
			amended
		);
		const blind = hidden.has(s.id);
		// In the order in which they were printed, corrected times among them.
		const prints = (attemptsOf.get(s.id) ?? [])
			.filter((a) => !unreadable.has(a.id))
			.map((a) => asAttempt(a, amended, printers))
			.toSorted((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
		const nozzleOf = new Map(prints.map((p) => [p.id, p.settings.nozzleC]));
		const evidence: SpoolEvidence = {
			spool: {
				id: s.id,
				code: s.benchCode,
				maker: blind ? null : m.name,
				filament: blind ? null : f.name,
				material: f.material,
				...(blind ? blindFacts(SPOOL_FACTS, facts) : factsAmong(SPOOL_FACTS, facts)),
				revision: s.revision
			},
			claims: (claimsOf.get(f.id) ?? []).map((c): Claim => ({
				id: c.id,
				quantity: c.quantity,
				source: c.source,
				value: c.value
			})),
			quotes: blind ? [] : (quotes.get(s.id) ?? []),
			pricesHidden: blind,
			readings: amendedReadings(readingsOf.get(s.id) ?? [], amended),
			attempts: prints,
			specimens: (specimensOf.get(s.id) ?? [])
				.filter((one) => !unreadable.has(one.id))
				.map((one) =>
					applyAmendments(
						{
							id: one.id,
							at: one.at,
							shape: one.shape,
							orientation: one.orientation,
							method: one.method,
							nozzleC: one.nozzleC,
							made: one.made
						},
						amended
					)
				)
				.map((one) => ({ ...one, nozzleC: one.nozzleC ?? nozzleOf.get(attemptOf.get(one.id) ?? '') ?? null })),
			logs: logs.get(s.id) ?? [],
			events: events.get(s.id) ?? [],
			dryForH: dryForHours(f.material, handbook),
			damaged: damaged.get(s.id) ?? [],
			instruments: onBench.instruments,
			pieces: onBench.pieces
		};
		read.set(s.id, evidence);
	}
	return read;
}

type Rows = { attempts: (typeof attempt.$inferSelect)[]; specimens: (typeof specimen.$inferSelect)[] };

/** Notes rows that no form would have brought. Of many spools this is the longest work in one go that a page does: others are let in between. */
async function noteUnreadable(
	{ attempts, specimens }: Rows,
	damaged: Map<string, DamagedRecord[]>,
	turn: ReturnType<typeof turns>
): Promise<void> {
	for (const a of attempts) {
		if (!isValidRow('attempts', a)) noteDamaged(damaged, a.spoolId, { kind: 'print', id: a.id, name: '', at: a.at });
		if (turn.over()) await letOthersIn();
	}
	for (const one of specimens)
		if (!isValidRow('specimens', one)) noteDamaged(damaged, one.spoolId, { kind: 'specimen', id: one.id, name: one.shape, at: one.at });
}

type Printers = ReadonlyMap<string, { name: string; nozzle: string }>;

async function printersAsTheyStand(db: Reader): Promise<Printers> {
	return new Map((await loadPrinters(db)).map(({ id, name, nozzle }) => [id, { name, nozzle }]));
}

/** A print as its amendments leave it, with its printer as that stands. */
function asAttempt(a: typeof attempt.$inferSelect, amendments: readonly Amendment[], printers: Printers): Attempt {
	const { printerId, ...stands } = applyAmendments(
		{
			id: a.id,
			pieceId: a.pieceId,
			printerId: a.printerId,
			at: a.at,
			outcome: a.outcome,
			percentReached: a.percentReached,
			cause: a.cause,
			failure: a.failure,
			tuning: a.tuning,
			signs: a.signs ?? [],
			portionId: a.portionId,
			condition: null,
			settings: { ...NO_SETTINGS, ...(a.settings as Partial<PrintSettings>) },
			gramsG: a.gramsG,
			fileHash: a.fileHash,
			midPrint: a.midPrint,
			setUp: a.setUp ?? {}
		},
		amendments
	);
	const on = printers.get(printerId ?? '');
	return { ...stands, printer: on?.name ?? null, nozzle: on?.nozzle ?? null };
}

/** The list read before where nothing in it changed, also for spools that were read at another time. */
function sameAsBefore<T>(name: string, list: T[]): T[] {
	const text = JSON.stringify(list);
	const before = lists.get(name);
	if (before?.text === text) return before.list as T[];
	lists.set(name, { text, list });
	return list;
}
const lists = new Map<string, { text: string; list: unknown[] }>();

function noteDamaged(damaged: Map<string, DamagedRecord[]>, spoolId: string, record: DamagedRecord): void {
	damaged.set(spoolId, [...(damaged.get(spoolId) ?? []), record]);
}

/** A setting that an earlier version did not ask for was not noted. */
const NO_SETTINGS: PrintSettings = {
	nozzleC: null,
	bedC: null,
	fanPct: null,
	speedPct: null,
	flowPct: null,
	retractionMm: null,
	pressureAdvance: null
};

/** Readings as their amendments leave them; the many without any are passed on as they are. */
function amendedReadings(rows: readonly { reading: Reading }[], amendments: readonly Amendment[]): Reading[] {
	const targets = new Set(amendments.map((a) => a.targetId));
	const stand = rows.map(({ reading }) => (targets.has(reading.id) ? applyAmendments(reading, amendments) : reading));
	// One that was really taken at another time stands elsewhere in the order.
	return amendments.some((a) => a.replacement?.takenAt !== undefined)
		? stand.toSorted((a, b) => a.takenAt - b.takenAt || (a.id < b.id ? -1 : 1))
		: stand;
}

/** Quotes of each spool: what was paid for it first, then what was seen for its filament, newest first. */
async function loadQuotes(db: Reader, spoolIds: string[], filamentIds: string[]): Promise<Map<string, Quote[]>> {
	const raw = await db.select().from(quote).where(inArray(quote.filamentId, filamentIds)).orderBy(desc(quote.seenAt), desc(quote.id));
	const amendments = await loadAmendments(db, filamentIds);
	const rows = raw.map((q) => applyAmendments(q, amendments.get(q.filamentId) ?? [])).filter((q) => q.status === 'counts');
	const bought = await db.select().from(purchase).where(inArray(purchase.spoolId, spoolIds)).orderBy(desc(purchase.seq));
	const owners = await db.select({ id: spool.id, filamentId: spool.filamentId }).from(spool).where(inArray(spool.id, spoolIds));
	return new Map(
		owners.map((owner) => {
			const of = rows.filter((q) => q.filamentId === owner.filamentId);
			const paid = bought.find((p) => p.spoolId === owner.id)?.quoteId;
			const ordered = [...of.filter((q) => q.id === paid), ...of.filter((q) => q.id !== paid)];
			return [
				owner.id,
				ordered.map((q): Quote => ({
					id: q.id,
					priceMinor: q.priceMinor,
					shippingMinor: q.shippingMinor,
					currency: q.currency,
					quantity: q.quantity,
					netMassG: q.netMassG,
					seenAt: q.seenAt,
					kind: q.kind
				}))
			];
		})
	);
}

/** Spools whose maker, product and price are withheld: those in any trial that is blind now. */
export async function hiddenSpools(db: Reader, spoolIds?: string[]): Promise<Set<string>> {
	const rows = await db
		.select({ id: trialSpool.spoolId })
		.from(trialSpool)
		.innerJoin(trial, eq(trial.id, trialSpool.trialId))
		.where(and(eq(trial.blind, true), isNull(trialSpool.leftAt), spoolIds ? inArray(trialSpool.spoolId, spoolIds) : undefined));
	return new Set(rows.map((r) => r.id));
}
