import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { proposeBenchCode, spellsMaterial } from '$lib/core/intake/bench-code';
import { readReading } from '$lib/core/readings/read-reading';
import type { FieldError } from '$lib/schemas/field-error';
import type { filamentBody, quoteBody, spoolBody, spoolFactsBody, unboxingBody } from '$lib/schemas/spool';
import { readQuote } from '../cost/read-quote';
import type { Database, Reader, Transaction } from '../db/client';
import { amendment, claim, event, filament, purchase, quote, reading, spool } from '../db/schema';
import { readClaims } from '../intake/claims';
import { checkMasses } from '../intake/masses';
import { ensureLot, ensureMaker, joinTrial, lockCodes, unboxingRows } from '../intake/take-in';
import { refuse, refuseField } from '../problem';
import { raiseFilament, raiseRevision } from '../readings/post';
import { refusedReading } from '$lib/schemas/refused-reading';
import { pastInstant } from '../time';
import { writeOnce } from '../write/write-once';

type Answer<T> = Promise<{ answer: T; repeated: boolean }>;

export async function postFilament(db: Database, body: z.output<typeof filamentBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'filament', body, now }, async (tx) => {
		const claims = readClaims(body.id, body, now);
		if (claims.errors.length > 0) throw refuse(claims.errors);
		await tx.insert(filament).values({
			id: body.id,
			makerId: await ensureMaker(tx, body.maker, now),
			name: body.name,
			material: body.material,
			variant: body.variant,
			createdAt: now
		});
		if (claims.rows.length > 0) await tx.insert(claim).values(claims.rows);
		return { id: body.id };
	});
}

/** Bench codes in use, and the next one that is free. */
export async function nextBenchCode(db: Reader): Promise<string | null> {
	const used = await db.select({ code: spool.benchCode }).from(spool);
	return proposeBenchCode(new Set(used.map((r) => r.code)));
}

export async function postSpool(db: Database, body: z.output<typeof spoolBody>, now: number): Answer<{ id: string; benchCode: string }> {
	return await writeOnce(db, { id: body.id, kind: 'spool', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await lockCodes(tx);
		await requireFilament(tx, body.filamentId);
		const benchCode = body.benchCode ?? (await nextBenchCode(tx));
		if (!benchCode) throw refuseField('benchCode', 'codesExhausted');
		if (spellsMaterial(benchCode)) throw refuseField('benchCode', 'codeSpellsMaterial', { code: benchCode });
		const [taken] = await tx.select({ id: spool.id }).from(spool).where(eq(spool.benchCode, benchCode));
		if (taken) throw refuseField('benchCode', 'codeTaken', { code: benchCode });
		await tx.insert(spool).values({
			id: body.id,
			filamentId: body.filamentId,
			lotId: body.lot ? await ensureLot(tx, body.filamentId, body.lot, now) : null,
			benchCode,
			colourName: body.colourName,
			colourHex: body.colourHex,
			obtained: body.obtained,
			createdAt: now
		});
		await tx.insert(event).values({ id: v7(), spoolId: body.id, kind: 'opened', at, zone: body.zone, createdAt: now });
		if (body.trialId) await joinTrial(tx, body.trialId, body.id, body.role, now);
		return { id: body.id, benchCode };
	});
}

async function requireFilament(tx: Transaction, filamentId: string): Promise<void> {
	const [known] = await tx.select({ id: filament.id }).from(filament).where(eq(filament.id, filamentId));
	if (!known) throw refuseField('filamentId', 'unknownId', { what: 'filament' });
}

export async function postQuote(db: Database, body: z.output<typeof quoteBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'quote', body, now }, async (tx) => {
		const seenAt = pastInstant(body.at, now, 'at');
		await requireFilament(tx, body.filamentId);
		const { numbers, errors } = readQuote(body);
		if (errors.length > 0) throw refuse(errors);
		if (!numbers) throw refuseField('price', 'missing');
		await tx.insert(quote).values({
			id: body.id,
			filamentId: body.filamentId,
			...numbers,
			currency: body.currency,
			quantity: body.quantity,
			kind: body.quoteKind,
			seenAt,
			zone: body.zone,
			createdAt: now
		});
		await raiseFilament(tx, body.filamentId);
		if (body.spoolId) {
			await raiseRevision(tx, body.spoolId);
			await tx.insert(purchase).values({ id: v7(), spoolId: body.spoolId, quoteId: body.id, createdAt: now });
		}
		return { id: body.id };
	});
}

/** What was seen at unboxing, when it was not said at intake. */
export async function postUnboxing(db: Database, body: z.output<typeof unboxingBody>, now: number): Answer<{ kept: number }> {
	return await writeOnce(db, { id: body.id, kind: 'unboxing', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		const rows = unboxingRows(body.spoolId, body, at, body.zone, now);
		await tx.insert(reading).values(rows);
		return { kept: rows.length };
	});
}

/** Completes what was left for later. Facts of the spool change by amendment, stated figures by a newer claim, masses by readings. */
export async function postSpoolFacts(db: Database, body: z.output<typeof spoolFactsBody>, now: number): Answer<{ id: string }> {
	return await writeOnce(db, { id: body.id, kind: 'spoolFacts', body, now }, async (tx) => {
		const at = pastInstant(body.at, now, 'at');
		await raiseRevision(tx, body.spoolId);
		const [row] = await tx.select({ filamentId: spool.filamentId }).from(spool).where(eq(spool.id, body.spoolId));
		if (!row) throw refuseField('spoolId', 'unknownId', { what: 'spool' });
		const errors: FieldError[] = [];
		const claims = readClaims(row.filamentId, body, now);
		errors.push(...claims.errors);
		const weighings: (typeof reading.$inferInsert)[] = [];
		for (const [path, quantity] of [
			['grossMass', 'grossMass'],
			['tare', 'tareMass']
		] as const) {
			const text = body[path];
			if (!text) continue;
			const read = readReading(quantity, text);
			if (!read.ok) errors.push(refusedReading(path, read));
			else {
				const { ok: _, ...kept } = read;
				weighings.push({
					id: v7(),
					spoolId: body.spoolId,
					station: 'moisture',
					quantity,
					...kept,
					takenAt: at,
					zone: body.zone,
					createdAt: now
				});
			}
		}
		if (errors.length > 0) throw refuse(errors);
		for (const w of weighings) {
			await checkMasses(tx, body.spoolId, w.quantity, w.value ?? 0);
			await tx.insert(reading).values(w);
		}
		if (claims.rows.length > 0) {
			await tx.insert(claim).values(claims.rows);
			await raiseFilament(tx, row.filamentId);
		}
		const facts = Object.fromEntries(
			Object.entries({ colourName: body.colourName, colourHex: body.colourHex, obtained: body.obtained, lot: body.lot }).filter(
				([, v]) => v !== undefined && v !== ''
			)
		);
		if (Object.keys(facts).length > 0)
			await tx.insert(amendment).values({
				id: v7(),
				spoolId: body.spoolId,
				targetKind: 'spool',
				targetId: body.spoolId,
				action: 'correct',
				replacement: facts,
				reason: 'completed later',
				at: now,
				createdAt: now
			});
		return { id: body.id };
	});
}
