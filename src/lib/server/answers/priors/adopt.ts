import { v7 } from 'uuid';
import type { Database } from '../../base/db/client';
import { trial, trialPriorSet, verdict } from '../../base/db/schema';
import { isArchived, withFacts } from '../../record/facts/facts';
import { firstPlaceOf } from '../trials/findings';
import { loadTrial, ofReadable } from '../trials/load';
import { newestPriors } from '../../record/priors/load';

/**
 * Every trial that is not decided adopts the newest set of priors; who stands first by it, and stood first before, is kept where that changed. A
 * trial with a verdict keeps the set it was decided by.
 * @returns how many trials adopted it, and in how many of them another spool is first now
 */
export async function adoptPriors(db: Database, now: number): Promise<{ adopted: number; changed: number }> {
	const set = await newestPriors(db);
	if (set.id === null) return { adopted: 0, changed: 0 };
	const verdicts = await withFacts(db, 'verdict', await db.select({ id: verdict.id, trialId: verdict.trialId }).from(verdict));
	// One that was withdrawn decides nothing.
	const decided = new Set(verdicts.filter((v) => !isArchived(v)).map((v) => v.trialId));
	const open = (await db.select({ id: trial.id }).from(trial)).filter(({ id }) => !decided.has(id));
	let adopted = 0;
	let changed = 0;
	for (const { id } of open) {
		const whole = await ofReadable(() => loadTrial(db, id));
		if (!whole || whole.basis.priors.id === set.id) continue;
		const before = firstPlaceOf(whole);
		const after = firstPlaceOf({ ...whole, basis: { ...whole.basis, priors: set } });
		const turned = before !== after && before !== null && after !== null;
		await db.insert(trialPriorSet).values({
			id: v7(),
			trialId: id,
			priorSetId: set.id,
			firstBefore: turned ? before : null,
			firstAfter: turned ? after : null,
			createdAt: now
		});
		adopted++;
		if (turned) changed++;
	}
	return { adopted, changed };
}
