import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { applyAmendments, type Amendment } from '$lib/core/record/amendments/apply';
import type { Amended } from '$lib/core/record/evidence/amended';
import type { SpoolEvent } from '$lib/core/record/evidence/event';
import type { Reader } from '../../base/db/client';
import { amendment, dryingRun, dryingRunEnd, dryingRunSpool, event } from '../../base/db/schema';
import { loadDryerChecks } from '../dryers/checks';
import { correctedRuns, dryerNames, type RunFacts } from '../drying/run-facts';
import { groupBy } from '../../base/group';

/** Events of spools after amendments, in time order. */
export async function loadEvents(db: Reader, spoolIds: string[]): Promise<Map<string, SpoolEvent[]>> {
	const rows = await db.select().from(event).where(inArray(event.spoolId, spoolIds)).orderBy(asc(event.at));
	const [amendments, names, checks] = await Promise.all([loadAmendments(db, spoolIds), dryerNames(db), loadDryerChecks(db)]);
	const dryerOf: DryerOf = (id) => ({ dryer: names.get(id ?? '') ?? null, checks: checks.counts.get(id ?? '') ?? [] });
	const raw = [...rows.map((row) => rawEvent(row, dryerOf(row.dryerId))), ...(await runningDryings(db, spoolIds, dryerOf))];
	const runs = await correctedRuns(
		db,
		raw.flatMap((e) => e.drying?.runId ?? [])
	);
	const events = raw.map(({ spoolId, ...event }) => ({
		spoolId,
		event: applyAmendments(asRun(event, runs.get(event.drying?.runId ?? '')?.facts), amendments.get(spoolId) ?? [])
	}));
	// A drying that was put right may stand elsewhere in the order.
	return new Map(
		[...groupBy(events, (e) => e.spoolId)].map(([id, list]) => [id, list.map((e) => e.event).toSorted((a, b) => a.at - b.at)])
	);
}

type RawEvent = Omit<SpoolEvent, keyof Amended> & { spoolId: string };

/** The dryer of a run as it stands now: what it is called, and what an own probe showed in it. */
type InDryer = Pick<NonNullable<SpoolEvent['drying']>, 'dryer' | 'checks'>;
type DryerOf = (id: string | null) => InDryer;

const rawEvent = (row: typeof event.$inferSelect, inDryer: InDryer): RawEvent => ({
	id: row.id,
	spoolId: row.spoolId,
	kind: row.kind,
	at: row.at,
	drying: dryingOf(row.detail, inDryer),
	portionId: row.portionId,
	...saidOf(row.detail)
});

/** A drying as it really was, where its run was put right later. */
function asRun<T extends Omit<RawEvent, 'spoolId'>>(raw: T, facts: RunFacts | undefined): T {
	if (!facts || !raw.drying) return raw;
	const { startedAt = raw.drying.startedAt, setPointC = raw.drying.setPointC, endedAt = raw.at } = facts;
	return { ...raw, at: raw.kind === 'drying' ? startedAt : endedAt, drying: { ...raw.drying, startedAt, setPointC } };
}

/** Dryings that nobody has ended yet: what is printed from the dryer meanwhile is dried. */
async function runningDryings(db: Reader, spoolIds: string[], dryerOf: DryerOf): Promise<RawEvent[]> {
	const rows = await db
		.select({ run: dryingRun, spoolId: dryingRunSpool.spoolId })
		.from(dryingRunSpool)
		.innerJoin(dryingRun, eq(dryingRun.id, dryingRunSpool.runId))
		.leftJoin(dryingRunEnd, eq(dryingRunEnd.runId, dryingRun.id))
		.where(and(inArray(dryingRunSpool.spoolId, spoolIds), isNull(dryingRunEnd.runId)))
		.orderBy(asc(dryingRun.startedAt));
	return rows.map(({ run, spoolId }) => ({
		id: run.id,
		spoolId,
		kind: 'drying',
		at: run.startedAt,
		drying: { runId: run.id, startedAt: run.startedAt, setPointC: run.setPointC, ...dryerOf(run.dryerId) },
		...NOTHING_SAID,
		portionId: null
	}));
}

const NOTHING_SAID = { portion: null, humidityPct: null, hours: null };

/** What a tester said with an event; what is of another kind was not said. */
function saidOf(detail: unknown): Pick<SpoolEvent, 'portion' | 'humidityPct' | 'hours'> {
	const of = (detail ?? {}) as Record<string, unknown>;
	const number = (name: string) => (typeof of[name] === 'number' ? of[name] : null);
	return { portion: typeof of.portion === 'string' ? of.portion : null, humidityPct: number('humidityPct'), hours: number('hours') };
}

/** What is kept with a drying that ran on the bench's timer; a drying only said with a print has none. */
export type DryingDetail = { runId: string; startedAt: number; setPointC: number };

function dryingOf(detail: unknown, inDryer: InDryer): SpoolEvent['drying'] {
	const of = detail as Partial<DryingDetail> | null;
	if (!of || of.runId === undefined || of.startedAt === undefined || of.setPointC === undefined) return null;
	return { runId: of.runId, startedAt: of.startedAt, setPointC: of.setPointC, ...inDryer };
}

export type SpoolAmendment = Amendment & { targetKind: string };

export async function loadAmendments(db: Reader, spoolIds: string[]): Promise<Map<string, SpoolAmendment[]>> {
	const rows = await db.select().from(amendment).where(inArray(amendment.spoolId, spoolIds)).orderBy(asc(amendment.seq));
	return new Map(
		[...groupBy(rows, (r) => r.spoolId)].map(([id, list]) => [
			id,
			list.map((r) => ({
				id: r.id,
				targetKind: r.targetKind,
				targetId: r.targetId,
				action: r.action,
				undoesId: r.undoesId,
				replacement: r.replacement,
				reason: r.reason,
				seq: r.seq,
				range: r.rangeFrom === null || r.rangeTo === null ? null : { from: r.rangeFrom, to: r.rangeTo },
				at: r.at
			}))
		])
	);
}
