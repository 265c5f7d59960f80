import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { UNNAMED_MAKER } from '../../record/makers/makers';
import type { Reader } from '../../base/db/client';
import { claim, filament, maker, purchase, quote, spool, trial, trialSpool } from '../../base/db/schema';
import { hiddenSpools } from '../../record/evidence/load';
import { withFacts } from '../../record/facts/facts';
import { nextBenchCode } from '../../record/codes/bench-codes';

export type LastIntake = {
	code: string;
	/** The trial it is in, where that is another one; null for this one, or none. */
	trial: string | null;
	material: string;
	maker: string;
	filament: string;
	price: string;
	netMass: string;
	labelNozzle: string;
	labelTolerance: string;
};

/**
 * What intake offers: the next code, materials and makers already known, and the last spool to copy from (never a hidden one): the last of this
 * trial, or of the whole record while it has none.
 */
export async function intakeSuggestions(
	db: Reader,
	here: readonly string[]
): Promise<{ code: string | null; materials: string[]; makers: string[]; last: LastIntake | null }> {
	const [code, materials, makers, spools, hidden] = await Promise.all([
		nextBenchCode(db),
		db.selectDistinct({ material: filament.material }).from(filament),
		db.selectDistinct({ name: maker.name }).from(maker),
		db
			.select({ spool, filament, maker })
			.from(spool)
			.innerJoin(filament, eq(filament.id, spool.filamentId))
			.innerJoin(maker, eq(maker.id, filament.makerId))
			.where(here.length > 0 ? inArray(spool.id, [...here]) : undefined)
			.orderBy(desc(spool.createdAt), desc(spool.id))
			.limit(20),
		hiddenSpools(db)
	]);
	const newest = spools.find((s) => !hidden.has(s.spool.id));
	const common = ['PLA', 'PETG', 'ABS', 'ASA', 'TPU', 'PC', 'PA6', 'PA12', 'PP', 'PVA'];
	return {
		code,
		materials: [...new Set([...materials.map((m) => m.material), ...common])].sort(),
		makers:
			hidden.size > 0
				? []
				: makers
						.map((m) => m.name)
						.filter((name) => name !== UNNAMED_MAKER)
						.sort(),
		last: newest ? await toCopy(db, newest, here.length > 0 ? null : await trialOf(db, newest.spool.id)) : null
	};
}

/** The newest trial a spool is in, by name. */
async function trialOf(db: Reader, spoolId: string): Promise<string | null> {
	const [row] = await db
		.select({ id: trial.id, name: trial.name })
		.from(trialSpool)
		.innerJoin(trial, eq(trial.id, trialSpool.trialId))
		.where(and(eq(trialSpool.spoolId, spoolId), isNull(trialSpool.leftAt)))
		.orderBy(desc(trial.createdAt))
		.limit(1);
	return row ? ((await withFacts(db, 'trial', [row]))[0]?.name ?? null) : null;
}

async function toCopy(
	db: Reader,
	row: { spool: typeof spool.$inferSelect; filament: typeof filament.$inferSelect; maker: typeof maker.$inferSelect },
	from: string | null
): Promise<LastIntake> {
	const [claims, [paid]] = await Promise.all([
		db.select().from(claim).where(eq(claim.filamentId, row.filament.id)).orderBy(desc(claim.seq)),
		db
			.select({ quote })
			.from(purchase)
			.innerJoin(quote, eq(quote.id, purchase.quoteId))
			.where(eq(purchase.spoolId, row.spool.id))
			.orderBy(desc(purchase.seq))
			.limit(1)
	]);
	const text = (quantity: string, source: string) => claims.find((c) => c.quantity === quantity && c.source === source)?.typedText ?? '';
	return {
		code: row.spool.benchCode,
		trial: from,
		material: row.filament.material,
		maker: row.maker.name === UNNAMED_MAKER ? '' : row.maker.name,
		filament: row.filament.name,
		price: paid ? (paid.quote.priceMinor / 100).toFixed(2) : '',
		netMass: text('netMassG', 'label'),
		labelNozzle: text('nozzleLowC', 'label'),
		labelTolerance: text('diameterTolerance', 'label')
	};
}
