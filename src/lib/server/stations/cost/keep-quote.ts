import { v7 } from 'uuid';
import type { Transaction } from '../../base/db/client';
import { purchase, quote } from '../../base/db/schema';
import type { QuoteNumbers } from './read-quote';

type Price = Omit<typeof quote.$inferInsert, keyof QuoteNumbers | 'createdAt'> & { numbers: QuoteNumbers };

/** Every price is written here; `boughtBy` is the spool that was bought at it. Inside a running write. */
export async function keepQuote(tx: Transaction, { numbers, ...price }: Price, boughtBy: string | undefined, now: number): Promise<void> {
	await tx.insert(quote).values({ ...price, ...numbers, createdAt: now });
	if (boughtBy) await tx.insert(purchase).values({ id: v7(), spoolId: boughtBy, quoteId: price.id, createdAt: now });
}
