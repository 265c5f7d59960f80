import { keepReadings } from '../../record/readings/keep-readings';
import { desc, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { conditionAt } from '$lib/core/record/conditions/condition-at';
import type { AttemptBody } from '$lib/schemas/attempt';
import type { Database, Transaction } from '../../base/db/client';
import { STEP_PIECE } from '../../base/db/defaults';
import { attempt, event, note, piece, printer, protocol } from '../../base/db/schema';
import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
import { dryForOf } from '../../record/evidence/dry-for';
import { loadEvents } from '../../record/evidence/load-events';
import { requirePortion } from '../events/post-event';
import { refuse, refuseField } from '../../base/problem';
import { raiseRevision } from '../../record/revisions/revisions';
import { readTexts } from './texts';
import { pastInstant } from '../../base/time';
import { writeOnce } from '../../base/write/write-once';

export type KeptAttempt = { id: string; condition: ConditionKind; marks: number };

/** Keeps an attempt with its marks, whole or not at all. */
export async function postAttempt(db: Database, body: AttemptBody, now: number): Promise<{ answer: KeptAttempt; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'attempt', body, now }, (tx) => insertAttempt(tx, body, now));
}

async function insertAttempt(tx: Transaction, body: AttemptBody, now: number): Promise<KeptAttempt> {
	const at = pastInstant(body.at, now, 'at');
	await raiseRevision(tx, body.spoolId);
	const pieceId = body.pieceId ?? (await trialPiece(tx, body.trialId));
	await checkKnown(tx, pieceId, body.printerId);
	if (body.portionId) await requirePortion(tx, body.spoolId, body.portionId);
	const condition = await bringIntoCondition(tx, body, at, now);
	const { marks, roomTemperatureC, errors } = readTexts(body);
	if (errors.length > 0) throw refuse(errors);
	await tx.insert(attempt).values({
		id: body.id,
		spoolId: body.spoolId,
		pieceId,
		printerId: body.printerId,
		at,
		zone: body.zone,
		outcome: body.outcome,
		percentReached: body.outcome === 'failed' ? (body.percentReached ?? 0) : 100,
		cause: body.outcome === 'finished' ? null : body.cause,
		failure: body.outcome === 'finished' ? null : body.failure,
		tuning: body.tuning,
		signs: body.signs,
		portionId: body.portionId,
		settings: body.settings,
		setUp: Object.fromEntries(Object.entries(body.setUp).filter(([, said]) => said !== '')),
		roomTemperatureC,
		roomHumidityPct: body.roomHumidityPct,
		settingsPolicy: body.settingsPolicy,
		gramsG: body.gramsG,
		minutes: body.minutes,
		fileHash: body.fileHash,
		midPrint: body.midPrint || null,
		createdAt: now
	});
	await keepReadings(
		tx,
		{ spoolId: body.spoolId, takenAt: at, zone: body.zone, now },
		marks.map((m) => ({ ...m, attemptId: body.id }))
	);
	if (body.note)
		await tx.insert(note).values({
			id: v7(),
			spoolId: body.spoolId,
			targetKind: 'attempt',
			targetId: body.id,
			text: body.note,
			at,
			zone: body.zone,
			createdAt: now
		});
	return { id: body.id, condition, marks: marks.length };
}

async function trialPiece(tx: Transaction, trialId: string | undefined): Promise<string> {
	if (!trialId) return STEP_PIECE.id;
	const [row] = await tx
		.select({ id: protocol.mainPieceId })
		.from(protocol)
		.where(eq(protocol.trialId, trialId))
		.orderBy(desc(protocol.version))
		.limit(1);
	if (!row) throw refuseField('trialId', 'unknownId', { what: 'trial' });
	return row.id;
}

async function checkKnown(tx: Transaction, pieceId: string, printerId: string | undefined): Promise<void> {
	const [knownPiece] = await tx.select({ id: piece.id }).from(piece).where(eq(piece.id, pieceId));
	if (!knownPiece) throw refuseField('pieceId', 'unknownId', { what: 'piece' });
	if (printerId) await requirePrinter(tx, printerId, 'printerId');
}

/** Refuses a printer that the workshop does not have. */
export async function requirePrinter(tx: Transaction, printerId: string, path: string): Promise<void> {
	const [known] = await tx.select({ id: printer.id }).from(printer).where(eq(printer.id, printerId));
	if (!known) throw refuseField(path, 'unknownId', { what: 'printer' });
}

/**
 * The condition is derived from the events of the spool. Saying another one records the drying or exposure that must have
 * happened before the print; going back to "as received" is impossible and refused.
 */
async function bringIntoCondition(tx: Transaction, body: AttemptBody, at: number, now: number): Promise<KeptAttempt['condition']> {
	const events = (await loadEvents(tx, [body.spoolId])).get(body.spoolId) ?? [];
	const portionId = body.portionId ?? null;
	const derived = conditionAt({ events, dryForH: await dryForOf(tx, body.spoolId) }, at, portionId).kind;
	if (!body.condition || body.condition === derived) return derived;
	if (body.condition === 'asReceived') throw refuseField('condition', 'conditionContradicted', { condition: derived });
	await tx.insert(event).values({
		id: v7(),
		spoolId: body.spoolId,
		kind: body.condition,
		at: at - 1,
		zone: body.zone,
		portionId,
		detail: { saidWith: body.id },
		createdAt: now
	});
	return body.condition;
}
