import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { remembering } from '$lib/core/kernel/memo/remember';
import type { Reader } from '../../base/db/client';
import {
	amendment,
	criteria,
	handbookEntry,
	ownMeasure,
	piece,
	printer,
	protocol,
	server,
	trial,
	trialPriorSet,
	trialSpool,
	verdict
} from '../../base/db/schema';
import { isValidRow } from '../../record/rows/row-schema';
import { isArchived, withFacts } from '../../record/facts/facts';
import { loadHandbook } from '../../record/handbook/handbook';
import { loadMeasures } from '../../record/own/measure';
import { loadPieces } from '../../record/pieces/load';
import { problem } from '../../base/problem';
import { rulesOfNone, weightsOfNone } from './plain-rules';
import { lastTurn, priorsOfTrial } from '../../record/priors/load';

type SaidOfTrial = NonNullable<Awaited<ReturnType<typeof readSaid>>>;

/** What was said of trials that are looked at now. */
const known = remembering<string, { said: Promise<SaidOfTrial | null> | null }>(16);

/**
 * What was said of a trial and around it (rules, weights, members, verdicts, pieces, handbook, priors), as far as it is not measured on a spool.
 * One query where nothing of it changed since it was last read; null where there is no such trial. What comes out is shared and must not be changed.
 */
export async function saidOfTrial(db: Reader, trialId: string): Promise<SaidOfTrial | null> {
	// What a transaction sees of its own may still be taken back, so it neither reads nor feeds what is remembered.
	if ('rollback' in db) return await readSaid(db, trialId);
	const [stamp] = await db
		.select(STAMP)
		.from(trial)
		.leftJoin(server, sql`TRUE`)
		.where(eq(trial.id, trialId));
	if (!stamp) return null;
	const kept = known(Object.values(stamp).join(' '), () => ({ said: null }));
	kept.said ??= readSaid(db, trialId);
	try {
		return await kept.said;
	} catch (cause) {
		// A failure is nothing to remember: who asks next may find the database well again.
		kept.said = null;
		throw cause;
	}
}

const rowsOf = (table: typeof protocol | typeof criteria | typeof verdict | typeof trialSpool | typeof trialPriorSet) =>
	sql<number>`(SELECT COUNT(*) FROM ${table} WHERE ${table.trialId} = ${trial.id})`;
const allOf = (table: typeof piece | typeof handbookEntry | typeof ownMeasure) => sql<number>`(SELECT COUNT(*) FROM ${table})`;

/**
 * What is another one as soon as anything of it was said anew. Rows are only ever added, so their number tells; what is changed in place
 * (a member that left, a trial that is blind) raises the trial's revision.
 */
const STAMP = {
	server: server.id,
	epoch: server.epoch,
	trial: trial.id,
	revision: trial.revision,
	rules: rowsOf(protocol),
	weights: rowsOf(criteria),
	members: rowsOf(trialSpool),
	verdicts: rowsOf(verdict),
	adopted: rowsOf(trialPriorSet),
	facts: sql<number>`(SELECT COUNT(*) FROM ${amendment} WHERE ${amendment.targetId} = ${trial.id})`,
	printerFacts: sql<number>`(SELECT COUNT(*) FROM ${amendment} WHERE ${amendment.targetId} IN (SELECT ${protocol.printerId} FROM ${protocol} WHERE ${protocol.trialId} = ${trial.id}))`,
	withdrawn: sql<number>`(SELECT COUNT(*) FROM ${amendment} WHERE ${amendment.targetId} IN (SELECT ${verdict.id} FROM ${verdict} WHERE ${verdict.trialId} = ${trial.id}))`,
	pieces: allOf(piece),
	handbook: allOf(handbookEntry),
	measures: allOf(ownMeasure),
	measureFacts: sql<number>`(SELECT COUNT(*) FROM ${amendment} WHERE ${amendment.targetId} IN (SELECT ${ownMeasure.id} FROM ${ownMeasure}))`
};

async function readSaid(db: Reader, trialId: string) {
	// All at once: of a busy server every wait is a long one.
	const [[head], allRules, allWeights, measures, members, verdicts, turned, handbook, pieces, priors] = await Promise.all([
		db
			.select()
			.from(trial)
			.where(eq(trial.id, trialId))
			.then((rows) => withFacts(db, 'trial', rows)),
		db
			.select({ protocol, printer })
			.from(protocol)
			.leftJoin(printer, eq(printer.id, protocol.printerId))
			.where(eq(protocol.trialId, trialId))
			.orderBy(desc(protocol.version)),
		db.select().from(criteria).where(eq(criteria.trialId, trialId)).orderBy(desc(criteria.version)),
		loadMeasures(db),
		db
			.select()
			.from(trialSpool)
			.where(and(eq(trialSpool.trialId, trialId), isNull(trialSpool.leftAt)))
			.orderBy(asc(trialSpool.position)),
		loadVerdicts(db, trialId),
		lastTurn(db, trialId),
		loadHandbook(db),
		loadPieces(db),
		priorsOfTrial(db, trialId)
	]);
	if (!head) return null;
	// The newest version that can be read is in force; one that came in by file without any has those it would begin with.
	const rules =
		allRules.length === 0 ? { protocol: rulesOfNone(head), printer: null } : allRules.find((r) => isValidRow('protocols', r.protocol));
	const weights = allWeights.length === 0 ? weightsOfNone(head) : allWeights.find((w) => isValidRow('criteria', w));
	if (!rules || !weights) throw problem(422, 'damagedTrial');
	const damaged = [
		...(rules === (allRules[0] ?? rules) ? [] : ['rules' as const]),
		...(weights === (allWeights[0] ?? weights) ? [] : ['weights' as const])
	];
	const [printerNow] = rules.printer ? await withFacts(db, 'printer', [rules.printer]) : [];
	return { head, rules, weights, damaged, printerNow: printerNow ?? null, measures, members, verdicts, turned, handbook, pieces, priors };
}

export type TrialVerdict = Pick<typeof verdict.$inferSelect, 'id' | 'spoolId' | 'kind' | 'buyFor' | 'note' | 'at' | 'coreVersion'> & {
	/** Withdrawn: it stays on record and decides nothing. */
	archived: boolean;
};

async function loadVerdicts(db: Reader, trialId: string): Promise<TrialVerdict[]> {
	const rows = await db
		.select({
			id: verdict.id,
			spoolId: verdict.spoolId,
			kind: verdict.kind,
			buyFor: verdict.buyFor,
			note: verdict.note,
			at: verdict.at,
			coreVersion: verdict.coreVersion
		})
		.from(verdict)
		.where(eq(verdict.trialId, trialId))
		.orderBy(desc(verdict.at), desc(verdict.id));
	return (await withFacts(db, 'verdict', rows)).map((row) => ({ ...row, archived: isArchived(row) }));
}
