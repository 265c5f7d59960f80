import { desc, eq, ne } from 'drizzle-orm';
import { materialClass } from '$lib/core/judging/handbook/material-class';
import { candidatesFrom } from '$lib/core/answers/pick/candidates';
import { besideFellows, type BesideFellows } from '$lib/core/answers/scorecard/beside-fellows';
import type { Candidate } from '$lib/core/answers/pick/types';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import type { Reader } from '../../base/db/client';
import { filament, spool } from '../../base/db/schema';
import { hiddenSpools, loadEvidence } from '../../record/evidence/load';
import { giveWay, REMEMBERING_STATIONS } from '../findings/stations';
import { currentHouseSpool } from '../trials/house';
import { loadSpool, type SpoolWhole } from './load';

export type Scorecard = {
	whole: SpoolWhole;
	defs: QuantityDef[];
	/** The material it is counted in, and how many others of it were ever seen. */
	material: string;
	fellows: number;
	lines: BesideFellows[];
	/** The spool itself, and the house spool where that is of its material. */
	own: Candidate;
	house: Candidate | null;
};

/** So many fellows are looked at, the newest first: enough for any bench, and the page stays quick. */
const MOST = 40;

/** A spool beside all others of its material, judged by the rules that it was judged by itself. */
export async function loadScorecard(db: Reader, spoolId: string, now: number): Promise<Scorecard> {
	const whole = await loadSpool(db, spoolId, now);
	const { evidence, basis } = whole;
	const material = materialClass(evidence.spool.material, basis.handbook);
	const hidden = await hiddenSpools(db);
	const rows = await db
		.select({ id: spool.id, material: filament.material })
		.from(spool)
		.innerJoin(filament, eq(filament.id, spool.filamentId))
		.where(ne(spool.id, spoolId))
		.orderBy(desc(spool.createdAt), desc(spool.id));
	const ids = rows.filter((r) => materialClass(r.material, basis.handbook) === material && !hidden.has(r.id)).slice(0, MOST);
	const others = await loadEvidence(
		db,
		ids.map((r) => r.id)
	);
	await giveWay(others, basis);
	const { candidates, defs } = candidatesFrom({ spools: [evidence, ...others], basis, stations: REMEMBERING_STATIONS });
	const [own, ...fellows] = candidates as [Candidate, ...Candidate[]];
	const house = await currentHouseSpool(db);
	return {
		whole,
		defs,
		material,
		fellows: fellows.length,
		lines: besideFellows(own, fellows, defs),
		own,
		house: fellows.find((f) => f.spoolId === house) ?? null
	};
}
