import { asc, eq, inArray } from 'drizzle-orm';
import type { z } from 'zod';
import { inForce } from '$lib/core/record/amendments/apply';
import type { fieldError } from '$lib/schemas/field-error';
import type { productFactsBody } from '$lib/schemas/spool';
import { keepQuoteMass, statedMass } from '../cost/correct-quote';
import { readNetMass } from '../cost/read-quote';
import type { Database, Reader, Transaction } from '../../base/db/client';
import { amendment, filament, maker, spool } from '../../base/db/schema';
import { groupBy } from '../../base/group';
import { ensureMaker, UNNAMED_MAKER } from '../../record/makers/makers';
import { chooseCode, lockCodes } from '../../record/codes/bench-codes';
import { refuse, refuseField } from '../../base/problem';
import { raiseFilament, raiseRevision } from '../../record/revisions/revisions';
import { requireSeen } from '../../base/write/seen';
import { writeOnce } from '../../base/write/write-once';
import { amendFacts } from '../../record/facts/facts';

/**
 * What a reel is called by: maker, product, material, bench code. A slip in one of them is corrected in the row itself, for every list, search and file
 * reads it there; the amendment beside it keeps what stood there before, so that it can be undone and files from before still fit (decision 0044).
 */
type Product = { maker: string; name: string; material: string };
type Corrected = Product & { was: Product & { makerId: string } };

export async function postProductFacts(
	db: Database,
	body: z.output<typeof productFactsBody>,
	now: number
): Promise<{ answer: { id: string }; repeated: boolean }> {
	return await writeOnce(db, { id: body.id, kind: 'productFacts', body, now }, async (tx) => {
		await lockCodes(tx);
		await raiseRevision(tx, body.spoolId);
		const here = await reelOf(tx, body.spoolId);
		const netMassG = readMass(body.netMass);
		const seen = body.seen?.maker === UNNAMED_MAKER ? { ...body.seen, maker: '' } : body.seen;
		requireSeen(seen, { maker: here.maker, filament: here.name, material: here.material, benchCode: here.benchCode }, body);
		requireMassSeen(body, await statedMass(tx, here.filamentId));
		const said = { maker: body.maker, name: body.filament, material: body.material };
		const corrected = [
			await correctProduct(tx, here, said, body.reason, now),
			await correctCode(tx, here, body.benchCode, body.reason, now),
			netMassG !== null && (await keepQuoteMass(tx, here.filamentId, { netMassG, typed: body.netMass ?? '', reason: body.reason, now }))
		];
		if (!corrected.some(Boolean)) throw refuseField('reason', 'nothingCorrected');
		return { id: body.id };
	});
}

type Reel = Product & { spoolId: string; filamentId: string; makerId: string; benchCode: string };

async function reelOf(tx: Transaction, spoolId: string): Promise<Reel> {
	const [row] = await tx
		.select({
			spoolId: spool.id,
			benchCode: spool.benchCode,
			filamentId: filament.id,
			name: filament.name,
			material: filament.material,
			makerId: maker.id,
			maker: maker.name
		})
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.innerJoin(maker, eq(maker.id, filament.makerId))
		.where(eq(spool.id, spoolId));
	if (!row) throw refuseField('spoolId', 'unknownId', { what: 'spool' });
	return { ...row, maker: row.maker === UNNAMED_MAKER ? '' : row.maker };
}

/** A mass is the same in every unit it is typed in. */
function requireMassSeen({ seen, netMass }: z.output<typeof productFactsBody>, stands: number | null): void {
	if (netMass === undefined || typeof seen?.netMass !== 'string') return;
	const grams = (text: string) => (text.trim() === '' ? null : readMass(text));
	const near = (a: number | null, b: number | null) => a === b || (a !== null && b !== null && Math.abs(a - b) < 0.5);
	if (near(grams(seen.netMass), stands)) return;
	requireSeen({ netMass: seen.netMass }, { netMass: stands === null ? '' : `${stands} g` }, { netMass });
}

function readMass(text: string | undefined): number | null {
	const errors: ReturnType<typeof fieldError>[] = [];
	const grams = readNetMass(text, errors);
	if (errors.length > 0) throw refuse(errors);
	return grams;
}

async function correctProduct(tx: Transaction, here: Reel, said: Partial<Product>, reason: string, now: number): Promise<boolean> {
	const { maker: by, name, material } = here;
	const is: Product = { maker: said.maker ?? by, name: said.name ?? name, material: said.material ?? material };
	if (is.maker === by && is.name === name && is.material === material) return false;
	const replacement: Corrected = { ...is, was: { maker: by, name, material, makerId: here.makerId } };
	await amendFacts(tx, 'filament', { id: here.filamentId, facts: replacement, reason, now });
	await settleProducts(tx, [here.filamentId], now);
	return true;
}

/** Brings the rows of filaments to what their amendments in force say. */
export async function settleProducts(tx: Transaction, filamentIds: readonly string[], now: number): Promise<void> {
	for (const [id, list] of await correctionsOf(tx, filamentIds)) {
		const last = inForce(list).at(-1)?.replacement as Corrected | undefined;
		const is = last ?? firstOf(list);
		await tx
			.update(filament)
			.set({ name: is.name, material: is.material, makerId: await ensureMaker(tx, is.maker, now) })
			.where(eq(filament.id, id));
		await raiseFilament(tx, id);
	}
}

/** How corrected filaments were first entered: what files from before their correction say of them. */
export async function firstEntered(
	db: Reader,
	filamentIds: readonly string[]
): Promise<Map<string, { makerId: string; name: string; material: string }>> {
	const corrections = await correctionsOf(db, filamentIds);
	return new Map(
		[...corrections].map(([id, list]) => {
			const { makerId, name, material } = firstOf(list);
			return [id, { makerId, name, material }];
		})
	);
}

type Row = typeof amendment.$inferSelect;

async function correctionsOf(db: Reader, filamentIds: readonly string[]): Promise<Map<string, Row[]>> {
	if (filamentIds.length === 0) return new Map();
	const rows = await db
		.select()
		.from(amendment)
		.where(inArray(amendment.targetId, [...filamentIds]))
		.orderBy(asc(amendment.seq));
	// An undo alone, as only a file could bring one, corrects nothing.
	return new Map([...groupBy(rows, (r) => r.targetId)].filter(([, list]) => list.some(isCorrection)));
}

const isCorrection = (row: Row): boolean => row.action === 'correct' && row.replacement !== null;

function firstOf(list: readonly Row[]): Corrected['was'] {
	return (list.find(isCorrection)?.replacement as Corrected).was;
}

async function correctCode(tx: Transaction, here: Reel, wanted: string | undefined, reason: string, now: number): Promise<boolean> {
	if (!wanted || wanted === here.benchCode) return false;
	await takeCode(tx, here.spoolId, wanted);
	await amendFacts(tx, 'spool', { id: here.spoolId, facts: { benchCode: wanted, codeWas: here.benchCode }, reason, now });
	return true;
}

async function takeCode(tx: Transaction, spoolId: string, wanted: string): Promise<void> {
	const code = await chooseCode(tx, wanted);
	if (!code.ok) throw refuse([code.error]);
	await tx.update(spool).set({ benchCode: code.code }).where(eq(spool.id, spoolId));
}

/** After an undo: the bench code that amendments in force say, if it was ever corrected and is still free. */
export async function settleCode(tx: Transaction, spoolId: string): Promise<void> {
	await lockCodes(tx);
	const rows = await tx.select().from(amendment).where(eq(amendment.targetId, spoolId)).orderBy(asc(amendment.seq));
	const codes = (list: Row[]) => list.flatMap((a) => (typeof a.replacement?.benchCode === 'string' ? [a.replacement] : []));
	const first = codes(rows)[0];
	if (!first) return;
	const wanted = String(codes(inForce(rows)).at(-1)?.benchCode ?? first.codeWas);
	const [row] = await tx.select({ code: spool.benchCode }).from(spool).where(eq(spool.id, spoolId));
	if (row && row.code !== wanted) await takeCode(tx, spoolId, wanted);
}
