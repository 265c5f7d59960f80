import type { Message } from '$lib/core/judging/finding/message';
import { demandsUnmet } from '$lib/core/stations/handbook/demands';
import type { TrialWhole } from './load';

/** What spools of a trial ask of its printer and the printer lacks, by spool; none where no printer is named. */
export function lacksOf({ spools, basis }: Pick<TrialWhole, 'spools' | 'basis'>): { id: string; who: string; demands: Message[] }[] {
	const { printer, handbook } = basis;
	if (!printer) return [];
	return spools.flatMap((evidence) => {
		const demands = demandsUnmet(evidence, printer, handbook);
		return demands.length === 0 ? [] : [{ id: evidence.spool.id, who: `${evidence.spool.code} on ${printer.name}`, demands }];
	});
}
