import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Transaction } from '../../base/db/client';
import { filament, lot, maker } from '../../base/db/schema';
import { refuseField } from '../../base/problem';

export const UNNAMED_MAKER = 'maker not noted';

export async function ensureMaker(tx: Transaction, name: string | undefined, now: number): Promise<string> {
	const wanted = name || UNNAMED_MAKER;
	await tx.insert(maker).ignore().values({ id: v7(), name: wanted, createdAt: now });
	const [row] = await tx.select({ id: maker.id }).from(maker).where(eq(maker.name, wanted));
	if (!row) throw new Error('a maker just inserted was not found');
	return row.id;
}

export async function ensureLot(tx: Transaction, filamentId: string, code: string, now: number): Promise<string> {
	const [known] = await tx
		.select({ id: lot.id })
		.from(lot)
		.where(and(eq(lot.filamentId, filamentId), eq(lot.code, code)));
	if (known) return known.id;
	const id = v7();
	await tx.insert(lot).values({ id, filamentId, code, createdAt: now });
	return id;
}

/** Refuses a filament that is not here. */
export async function requireFilament(tx: Transaction, filamentId: string): Promise<void> {
	const [known] = await tx.select({ id: filament.id }).from(filament).where(eq(filament.id, filamentId));
	if (!known) throw refuseField('filamentId', 'unknownId', { what: 'filament' });
}
