import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { columnFacts } from '../../base/db/fact-columns';
import { and, eq, isNull } from 'drizzle-orm';
import { v7 } from 'uuid';
import { errorAt, fieldError, type FieldError } from '$lib/schemas/field-error';
import type { IntakeBody } from '$lib/schemas/spool';
import { keepQuote } from '../cost/keep-quote';
import type { Database, Transaction } from '../../base/db/client';
import { claim, event, filament, maker, note, spool, trial } from '../../base/db/schema';
import { refuse } from '../../base/problem';
import { keepReadings } from '../../record/readings/keep-readings';
import { isFuture } from '../../base/time';
import { raiseFilament } from '../../record/revisions/revisions';
import { writeOnce } from '../../base/write/write-once';
import { chooseCode, lockCodes } from '../../record/codes/bench-codes';
import { joinTrial } from '../../record/memberships/join-trial';
import { ensureLot, ensureMaker } from '../../record/makers/makers';
import { readTexts } from './texts';
import { unboxingValues } from './unboxing';

export type AddedSpool = { spoolId: string; filamentId: string; benchCode: string };

/** Takes in one spool with everything that was typed, whole or not at all. */
export async function addSpool(db: Database, body: IntakeBody, now: number): Promise<{ answer: AddedSpool; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'intake', body, now }, async (tx) => {
		await lockCodes(tx);
		const result = await takeInRow(tx, body, body.trialId, now);
		if (!result.ok) throw refuse(result.errors);
		return result.taken;
	});
}

/** Takes in a list: one wrong row and nothing is stored; every error names its row. */
export async function addSpools(
	db: Database,
	body: { id: string; trialId?: string; rows: Omit<IntakeBody, 'trialId'>[] },
	now: number
): Promise<{ answer: AddedSpool[]; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'intakeList', body, now }, async (tx) => {
		await lockCodes(tx);
		const taken: AddedSpool[] = [];
		const errors: FieldError[] = [];
		for (const [index, row] of body.rows.entries()) {
			const result = await takeInRow(tx, row, body.trialId, now);
			if (result.ok) taken.push(result.taken);
			else errors.push(...result.errors.map((e) => errorAt(`rows.${index}.${e.path}`, e)));
		}
		if (errors.length > 0) throw refuse(errors);
		return taken;
	});
}

type Row = Omit<IntakeBody, 'trialId'>;

async function takeInRow(
	tx: Transaction,
	body: Row,
	trialId: string | undefined,
	now: number
): Promise<{ ok: true; taken: AddedSpool } | { ok: false; errors: FieldError[] }> {
	const at = Date.parse(body.at);
	const errors: FieldError[] = [];
	if (isFuture(at, now)) errors.push(fieldError('at', 'future'));
	const filamentId = await findFilament(tx, body);
	const newFilamentId = filamentId ?? v7();
	const { money, claims, masses, errors: unread } = readTexts(body, newFilamentId, now);
	errors.push(...unread);
	const code = await chooseCode(tx, body.benchCode);
	if (!code.ok) errors.push(code.error);
	if (trialId) {
		const [known] = await tx.select({ id: trial.id }).from(trial).where(eq(trial.id, trialId));
		if (!known) errors.push(fieldError('trialId', 'unknownId', { what: 'trial' }));
	}
	if (errors.length > 0 || !code.ok) return { ok: false, errors };

	if (!filamentId)
		await tx.insert(filament).values({
			id: newFilamentId,
			makerId: await ensureMaker(tx, body.maker, now),
			name: body.filament ?? '',
			material: body.material,
			createdAt: now
		});
	if (claims.length > 0) await tx.insert(claim).values(claims);
	if (money.netMassG !== null)
		await tx.insert(claim).values({
			id: v7(),
			filamentId: newFilamentId,
			quantity: 'netMassG',
			source: 'label',
			value: money.netMassG,
			typedText: body.netMass ?? '',
			typedUnit: 'g',
			createdAt: now
		});
	if (filamentId) await raiseFilament(tx, filamentId);
	const spoolId = body.id;
	await tx.insert(spool).values({
		id: spoolId,
		filamentId: newFilamentId,
		lotId: body.lot ? await ensureLot(tx, newFilamentId, body.lot, now) : null,
		benchCode: code.code,
		...columnFacts(SPOOL_FACTS, body),
		createdAt: now
	});
	if (money.numbers) {
		const { currency, quantity, quoteKind: kind, zone } = body;
		const price = { id: v7(), filamentId: newFilamentId, numbers: money.numbers, currency, quantity, kind, seenAt: at, zone };
		await keepQuote(tx, price, spoolId, now);
	}
	await tx.insert(event).values({ id: v7(), spoolId, kind: 'opened', at, zone: body.zone, createdAt: now });
	await keepReadings(tx, { spoolId, takenAt: at, zone: body.zone, now }, [...unboxingValues(body), ...masses]);
	if (body.note)
		await tx
			.insert(note)
			.values({ id: v7(), spoolId, targetKind: 'spool', targetId: spoolId, text: body.note, at, zone: body.zone, createdAt: now });
	if (trialId) await joinTrial(tx, trialId, spoolId, body.role, now);
	return { ok: true, taken: { spoolId, filamentId: newFilamentId, benchCode: code.code } };
}

/** The filament this spool is of, when maker, name and material are the same; makers without a name are kept apart. */
async function findFilament(tx: Transaction, body: Row): Promise<string | null> {
	if (!body.maker || !body.filament) return null;
	const [known] = await tx
		.select({ id: filament.id })
		.from(filament)
		.innerJoin(maker, eq(maker.id, filament.makerId))
		.where(
			and(eq(maker.name, body.maker), eq(filament.name, body.filament), eq(filament.material, body.material), isNull(filament.variant))
		);
	return known?.id ?? null;
}
