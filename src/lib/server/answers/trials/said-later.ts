import { inForce } from '$lib/core/record/amendments/apply';
import type { SaidLater } from '$lib/schemas/trial';
import type { Reader } from '../../base/db/client';
import { factsOf } from '../../record/facts/facts';

/** Names, questions and currencies a trial was given later, newest first; undone ones among them. Whether it is put away is told elsewhere. */
export async function saidLater(db: Reader, trialId: string): Promise<SaidLater[]> {
	const all = (await factsOf(db, 'trial', [trialId])).get(trialId) ?? [];
	const standing = new Set(inForce(all).map((a) => a.id));
	return all
		.flatMap(({ id, at, action, reason, replacement }) => {
			const { name, question, currency } = (replacement ?? {}) as Partial<SaidLater>;
			const facts = Object.fromEntries(Object.entries({ name, question, currency }).filter(([, value]) => value !== undefined));
			return action === 'correct' && Object.keys(facts).length > 0 ? [{ id, at, reason, undone: !standing.has(id), ...facts }] : [];
		})
		.reverse();
}
