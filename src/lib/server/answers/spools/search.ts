import { and, desc, eq, inArray, like, or, sql, type SQL } from 'drizzle-orm';
import type { Reader } from '../../base/db/client';
import { amendment, attempt, filament, lot, maker, note, reading, spool } from '../../base/db/schema';
import { hiddenSpools } from '../../record/evidence/load';
import { isArchived, withFacts } from '../../record/facts/facts';

export type SpoolListing = {
	id: string;
	code: string;
	maker: string | null;
	filament: string | null;
	material: string;
	lot: string | null;
	colourName: string | null;
	colourHex: string | null;
	takenInAt: number;
	lastAt: number;
	prints: number;
	readings: number;
	/** Put away: not offered where a spool is chosen. */
	archived: boolean;
};

/** So many are on one page. */
export const LIMIT = 100;

/** `%` and `_` in what was typed are letters, not wildcards. */
const pattern = (word: string) => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/** Which of the spools that answer are listed: those put away or the others, from which on, and of these ids alone. */
export type Listed = { archived?: boolean; offset?: number; limit?: number };

/** Spools that were put away, as their later facts leave them. */
async function archivedSpools(db: Reader): Promise<string[]> {
	const rows = await db
		.selectDistinct({ id: amendment.targetId })
		.from(amendment)
		.where(and(eq(amendment.targetKind, 'spool'), like(amendment.replacement, '%"archived"%')));
	return (await withFacts(db, 'spool', rows)).filter(isArchived).map((r) => r.id);
}

/** `id IN (...)`, or nothing at all where there is none. */
const isIn = (ids: readonly string[]): SQL =>
	ids.length === 0
		? sql`FALSE`
		: sql`${spool.id} IN (${sql.join(
				ids.map((id) => sql`${sql.param(id, spool.id)}`),
				sql`, `
			)})`;

/**
 * The ids of every spool ever seen whose code, maker, product, material, colour or notes hold all the words typed, newest evidence first.
 * Names of spools in a blind trial neither show nor match.
 */
export async function findSpools(db: Reader, query: string, { archived }: Pick<Listed, 'archived'> = {}): Promise<string[]> {
	const words = query.trim().slice(0, 100).split(/\s+/).filter(Boolean).slice(0, 8);
	const [hidden, away] = await Promise.all([hiddenSpools(db), archived === undefined ? [] : archivedSpools(db)]);
	const open = sql`NOT ${isIn([...hidden])}`;
	const matches = (word: string): SQL | undefined => {
		const p = pattern(word);
		const noted = sql`EXISTS (SELECT 1 FROM ${note} WHERE ${note.spoolId} = ${spool.id} AND ${note.text} LIKE ${p})`;
		return or(
			like(spool.benchCode, p),
			like(filament.material, p),
			like(spool.colourName, p),
			noted,
			and(open, or(like(maker.name, p), like(filament.name, p)))
		);
	};
	const rows = await db
		.select({ id: spool.id })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.innerJoin(maker, eq(maker.id, filament.makerId))
		.where(and(...words.map(matches), archived === undefined ? undefined : archived ? isIn(away) : sql`NOT ${isIn(away)}`))
		.orderBy(desc(spool.createdAt), desc(spool.id));
	return rows.map((r) => r.id);
}

/** Spools that answer, as lists show them: a page of them, the newest first. */
export async function searchSpools(
	db: Reader,
	query: string,
	{ archived, offset = 0, limit = LIMIT }: Listed = {}
): Promise<SpoolListing[]> {
	return await listSpools(db, (await findSpools(db, query, { archived })).slice(offset, offset + limit));
}

/** Spools as lists show them, those with the newest evidence first. */
export async function listSpools(db: Reader, of: readonly string[]): Promise<SpoolListing[]> {
	if (of.length === 0) return [];
	const [hidden, rows] = await Promise.all([
		hiddenSpools(db, [...of]),
		db
			.select({ spool, filament, maker, lot: lot.code })
			.from(spool)
			.innerJoin(filament, eq(filament.id, spool.filamentId))
			.innerJoin(maker, eq(maker.id, filament.makerId))
			.leftJoin(lot, eq(lot.id, spool.lotId))
			.where(isIn(of))
	]);
	const ids = rows.map((r) => r.spool.id);
	const [prints, readings] = await Promise.all([tally(db, attempt, attempt.at, ids), tally(db, reading, reading.takenAt, ids)]);
	const listing = rows.map(({ spool: s, filament: f, maker: m, lot: lotCode }) => {
		const p = prints.find((t) => t.id === s.id);
		const r = readings.find((t) => t.id === s.id);
		const blind = hidden.has(s.id);
		return {
			id: s.id,
			code: s.benchCode,
			maker: blind ? null : m.name,
			filament: blind ? null : f.name,
			material: f.material,
			lot: lotCode,
			colourName: s.colourName,
			colourHex: s.colourHex,
			takenInAt: s.createdAt,
			lastAt: Math.max(s.createdAt, Number(p?.last ?? 0), Number(r?.last ?? 0)),
			prints: Number(p?.n ?? 0),
			readings: Number(r?.n ?? 0)
		};
	});
	const asNow = await withFacts(db, 'spool', listing);
	return listing
		.map((spool, i): SpoolListing => {
			const { colourName, colourHex, lot: lotCode, ...facts } = asNow[i] ?? spool;
			return { ...spool, colourName, colourHex, lot: lotCode, archived: isArchived(facts) };
		})
		.sort((a, b) => b.lastAt - a.lastAt);
}

async function tally(
	db: Reader,
	table: typeof attempt | typeof reading,
	at: SQL | typeof attempt.at | typeof reading.takenAt,
	ids: string[]
) {
	return await db
		.select({ id: table.spoolId, n: sql<string>`COUNT(*)`, last: sql<string>`MAX(${at})` })
		.from(table)
		.where(inArray(table.spoolId, ids))
		.groupBy(table.spoolId);
}
