import { raiseSpoolsMeasured, raiseTrial } from '../../record/revisions/revisions';
import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { presetCriteria } from '$lib/core/answers/pick/presets';
import type {
	blindBody,
	criteriaBody,
	houseSpoolBody,
	ownMeasureBody,
	ownMeasureFactsBody,
	protocolBody,
	trialBody,
	trialFactsBody,
	trialLeaveBody,
	trialSpoolBody
} from '$lib/schemas/trial';
import type { Database, Reader, Transaction } from '../../base/db/client';
import { criteria, houseSpool, ownMeasure, piece, printer, protocol, spool, trial, trialPriorSet, trialSpool } from '../../base/db/schema';
import { amendFacts, withFacts } from '../../record/facts/facts';
import { joinTrial } from '../../record/memberships/join-trial';
import { newestPriors } from '../../record/priors/load';
import { refuseField } from '../../base/problem';
import { currentHouseSpool } from './house';
import { loadTrial } from './load';
import { PLAIN_RULES, rulesOfNone, weightsOfNone } from './plain-rules';
import { requireSeen } from '../../base/write/seen';
import { writeOnce } from '../../base/write/write-once';

type Answer<T> = Promise<{ answer: T; repeated: boolean }>;

/** Makes a trial with a protocol and criteria to start from. The house spool joins by itself, to be looked at beside the others; one that is chosen is a
 * candidate like all others. */
export async function postTrial(db: Database, body: z.output<typeof trialBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'trial', body, now }, async (tx) => {
		await checkSpools(tx, body.spoolIds);
		await tx.insert(trial).values({
			id: body.id,
			name: body.name,
			question: body.question,
			preset: body.preset,
			currency: body.currency,
			blind: body.blind,
			createdAt: now
		});
		const like = body.likeId ? await rulesLike(tx, body.likeId) : null;
		await tx.insert(protocol).values({
			...PLAIN_RULES,
			pieceIds: [...PLAIN_RULES.pieceIds],
			printerId: await latestPrinter(tx),
			...like?.rules,
			...(body.conditionPolicy ? { conditionPolicy: body.conditionPolicy } : {}),
			id: v7(),
			trialId: body.id,
			version: 1,
			createdAt: now
		});
		const items = like?.items ?? presetCriteria(body.preset);
		await tx.insert(criteria).values({ id: v7(), trialId: body.id, version: 1, items, createdAt: now });
		const priors = await newestPriors(tx);
		if (priors.id !== null) await tx.insert(trialPriorSet).values({ id: v7(), trialId: body.id, priorSetId: priors.id, createdAt: now });
		const house = await currentHouseSpool(tx);
		if (house && !body.spoolIds.includes(house)) await joinTrial(tx, body.id, house, 'house', now);
		for (const spoolId of body.spoolIds) await joinTrial(tx, body.id, spoolId, spoolId === house ? 'houseInvited' : 'candidate', now);
		return { id: body.id };
	});
}

/** Pieces, rules, importance and measures of another trial, as its newest versions have them. */
async function rulesLike(tx: Transaction, likeId: string) {
	const [[like], [rules], [weights]] = await Promise.all([
		tx.select().from(trial).where(eq(trial.id, likeId)),
		tx.select().from(protocol).where(eq(protocol.trialId, likeId)).orderBy(desc(protocol.version)).limit(1),
		tx.select().from(criteria).where(eq(criteria.trialId, likeId)).orderBy(desc(criteria.version)).limit(1)
	]);
	if (!like) throw refuseField('likeId', 'unknownId', { what: 'trial' });
	const { basis } = await loadTrial(tx, likeId);
	const ownMeasureIds = basis.ownMeasures.filter((m) => m.here).map((m) => m.id);
	return { rules: { ...(rules ?? rulesOfNone(like)), ownMeasureIds }, items: (weights ?? weightsOfNone(like)).items };
}

async function latestPrinter(tx: Reader): Promise<string | null> {
	const [row] = await tx.select({ id: printer.id }).from(printer).orderBy(desc(printer.createdAt)).limit(1);
	return row?.id ?? null;
}

async function checkSpools(tx: Reader, spoolIds: string[]): Promise<void> {
	if (spoolIds.length === 0) return;
	const known = new Set((await tx.select({ id: spool.id }).from(spool).where(inArray(spool.id, spoolIds))).map((r) => r.id));
	const at = spoolIds.findIndex((id) => !known.has(id));
	if (at >= 0) throw refuseField(`spoolIds.${at}`, 'unknownId', { what: 'spool' });
}

/** Says the name or question of a trial better; the first one stays on record. */
export async function postTrialFacts(db: Database, body: z.output<typeof trialFactsBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'trialFacts', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		const { name, question, currency, reason } = body;
		const rows = await tx.select().from(trial).where(eq(trial.id, body.trialId));
		const [stands] = await withFacts(tx, 'trial', rows);
		if (stands) requireSeen(body.seen, { name: stands.name, question: stands.question ?? '', currency: stands.currency }, body);
		const facts = { name, currency, question: question === undefined ? undefined : question || null };
		await amendFacts(tx, 'trial', { id: body.trialId, facts, reason, now });
		return { id: body.id };
	});
}

/** Takes a spool out of a trial. Membership is no evidence: the spool and all that was measured of it stay. */
export async function postTrialLeave(db: Database, body: z.output<typeof trialLeaveBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'trialLeave', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		const [left] = await tx
			.update(trialSpool)
			.set({ leftAt: now })
			.where(and(eq(trialSpool.trialId, body.trialId), eq(trialSpool.spoolId, body.spoolId), isNull(trialSpool.leftAt)));
		if (left.affectedRows === 0) throw refuseField('spoolId', 'notOfTrial');
		return { id: body.id };
	});
}

export async function postTrialSpool(db: Database, body: z.output<typeof trialSpoolBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'trialSpool', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		await checkSpools(tx, [body.spoolId]);
		await joinTrial(tx, body.trialId, body.spoolId, body.role, now);
		return { id: body.id };
	});
}

/** A new version of what the trial holds equal: the newest with the given changes. The old one stays. */
export async function postProtocol(db: Database, body: z.output<typeof protocolBody>, now: number): Answer<{ version: number }> {
	return await writeOnce(db, { id: body.id, kind: 'protocol', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		const newest = await newestRules(tx, body.trialId);
		requireSeen(body.seen, { ...newest, pieceIds: newest.pieceIds ?? [newest.mainPieceId] }, body);
		const pieceIds = body.pieceIds ?? newest.pieceIds ?? [newest.mainPieceId];
		await checkPieces(tx, pieceIds);
		if (body.printerId) await checkPrinter(tx, body.printerId);
		const version = newest.version + 1;
		const { seen: _, ...changed } = body;
		await tx
			.insert(protocol)
			.values({ ...newest, ...changed, version, pieceIds, mainPieceId: pieceIds[0] ?? newest.mainPieceId, createdAt: now });
		return { version };
	});
}

/** The newest rules of a trial; those a new one begins with where it came in by file without any. */
async function newestRules(tx: Transaction, trialId: string): Promise<typeof protocol.$inferSelect> {
	const [newest] = await tx.select().from(protocol).where(eq(protocol.trialId, trialId)).orderBy(desc(protocol.version)).limit(1);
	if (newest) return newest;
	const [of] = await tx.select().from(trial).where(eq(trial.id, trialId));
	if (!of) throw refuseField('trialId', 'unknownId', { what: 'trial' });
	return rulesOfNone(of);
}

async function checkPrinter(tx: Reader, printerId: string): Promise<void> {
	const [known] = await tx.select({ id: printer.id }).from(printer).where(eq(printer.id, printerId));
	if (!known) throw refuseField('printerId', 'unknownId', { what: 'printer' });
}

async function checkPieces(tx: Reader, pieceIds: readonly string[]): Promise<void> {
	const known = await tx
		.select({ id: piece.id })
		.from(piece)
		.where(inArray(piece.id, [...pieceIds]));
	if (known.length < new Set(pieceIds).size) throw refuseField('pieceIds', 'unknownId', { what: 'piece' });
}

/** A new version of criteria, weights and gates; the old one stays. */
export async function postCriteria(db: Database, body: z.output<typeof criteriaBody>, now: number): Answer<{ version: number }> {
	return await writeOnce(db, { id: body.id, kind: 'criteria', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		const [before] = await tx.select().from(criteria).where(eq(criteria.trialId, body.trialId)).orderBy(desc(criteria.version)).limit(1);
		if (before) requireSeen(body.seen, { items: before.items }, body);
		const version = (before?.version ?? 0) + 1;
		// The price that others are weighed against is frozen with the first weights that were set: no rank turns when a spool joins later.
		const { costReference } = (await loadTrial(tx, body.trialId)).basis;
		await tx.insert(criteria).values({ id: body.id, trialId: body.trialId, version, items: body.items, costReference, createdAt: now });
		return { version };
	});
}

export async function postBlind(db: Database, body: z.output<typeof blindBody>, now: number): Answer<{ blind: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'blind', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		await tx.update(trial).set({ blind: body.blind }).where(eq(trial.id, body.trialId));
		return { blind: body.blind };
	});
}

export async function postHouseSpool(db: Database, body: z.output<typeof houseSpoolBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'houseSpool', body, now }, async (tx) => {
		await checkSpools(tx, [body.spoolId]);
		await tx.insert(houseSpool).values({ id: body.id, spoolId: body.spoolId, createdAt: now });
		return { id: body.id };
	});
}

/** Puts right what an own measure is called and tells of; the scale of words is their order. */
export async function postOwnMeasureFacts(db: Database, body: z.output<typeof ownMeasureFactsBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'ownMeasureFacts', body, now }, async (tx) => {
		const rows = await tx.select().from(ownMeasure).where(eq(ownMeasure.id, body.measureId)).for('update');
		const [stands] = await withFacts(tx, 'ownMeasure', rows);
		if (!stands) throw refuseField('measureId', 'unknownId', { what: 'ownMeasure' });
		const { name, family, direction, low: scaleLow, high: scaleHigh } = body;
		const scale = { direction, scaleLow, scaleHigh };
		const ofNumber = (['direction', 'low', 'high'] as const).find((field) => body[field] !== undefined);
		if (stands.words && ofNumber) throw refuseField(ofNumber, 'wordsHaveNoScale');
		if ((scaleHigh ?? stands.scaleHigh) <= (scaleLow ?? stands.scaleLow)) throw refuseField('high', 'highNotAboveLow');
		await amendFacts(tx, 'ownMeasure', { id: stands.id, facts: { name, family, ...scale }, now });
		await raiseSpoolsMeasured(tx, stands.id);
		await raiseTrial(tx, stands.trialId);
		return { id: body.id };
	});
}

export async function postOwnMeasure(db: Database, body: z.output<typeof ownMeasureBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'ownMeasure', body, now }, async (tx) => {
		await raiseTrial(tx, body.trialId);
		const { low, high, words, ...rest } = body;
		// Words are their own scale, the best last; a number has one, or its schema refused it.
		const scale = words
			? { scaleLow: 0, scaleHigh: words.length - 1, direction: 'more' as const, unit: '' }
			: { scaleLow: low as number, scaleHigh: high as number };
		await tx.insert(ownMeasure).values({ ...rest, words, ...scale, createdAt: now });
		return { id: body.id };
	});
}
