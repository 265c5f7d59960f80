import { asc } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { printer } from '../../base/db/schema';
import { withFacts } from '../facts/facts';

/** Every printer as it stands, the oldest first. */
export const loadPrinters = async (db: Reader) =>
	await withFacts(db, 'printer', await db.select().from(printer).orderBy(asc(printer.createdAt)));
