import type { Chances, PickRow } from '$lib/core/answers/pick/types';
import type { ValueRule } from '$lib/core/judging/trial/protocol';
import type { Database } from '../../base/db/client';
import { giveWay } from '../findings/stations';
import { letOthersIn } from '../../base/polite/let-others-in';
import { pickOf } from './findings';
import { keepListing, keptListings } from './kept-listings';
import { listTrials, loadTrial, ofReadable } from './load';
import { nextAct, type NextAct } from './next-step';
import { trialStamps } from './stamps';

/** Of so many it is said where they stand: one looks for the trial one works at. */
const STANDING = 6;

/**
 * Where a trial stands, before it is put into the words of whoever looks: what is done next, and whom it would pick today (one spool has no
 * rank). Null where its rules or weights cannot be read.
 */
export type Standing = {
	next: NextAct | null;
	pick: { rows: PickRow[]; chances: Chances; rule: ValueRule; currency: string } | null;
} | null;

async function standingOf(db: Database, trialId: string): Promise<Standing> {
	const whole = await loadTrial(db, trialId);
	await giveWay(whole.spools, whole.basis);
	const next = nextAct(whole);
	await letOthersIn();
	const { rows, rule, chances } = pickOf(whole, 'first');
	// The sentence asks for no single part.
	const told = rows.map((row) => ({ ...row, parts: [] }));
	return { next, pick: rows.length > 1 ? { rows: told, chances, rule, currency: whole.head.currency } : null };
}

/** The trials that one may be working at, the newest first. */
export const atWork = <T extends { archived: boolean }>(trials: readonly T[]): T[] => trials.filter((t) => !t.archived).slice(0, STANDING);

/**
 * Where trials stand: kept from before where nothing has changed, worked out anew where it has, one after the other.
 * @param patienceMs so long is worked out what is not kept; the rest is left out until somebody looks again
 */
export async function standingsOf(db: Database, trialIds: readonly string[], patienceMs = Infinity): Promise<Map<string, Standing>> {
	const stamps = await trialStamps(db);
	const ofThese = new Map(trialIds.map((id) => [id, stamps.get(id) ?? '']));
	const told = await keptListings<Standing>(db, 'trial', ofThese);
	const began = performance.now();
	for (const [id, stamp] of ofThese) {
		if (told.has(id)) continue;
		if (performance.now() - began > patienceMs) break;
		const standing = await ofReadable(() => standingOf(db, id));
		told.set(id, standing);
		// One that cannot be read is found out quickly each time, and may be mended in between.
		if (standing !== null) await keepListing(db, 'trial', id, stamp, standing);
	}
	return told;
}

/** Works out where the trials at work stand and keeps it, so that no page has to. */
export async function keepAllStandings(db: Database): Promise<void> {
	await standingsOf(
		db,
		atWork(await listTrials(db)).map((t) => t.id)
	);
}
