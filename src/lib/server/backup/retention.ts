import { DateTime } from 'luxon';

/** How many days, weeks and months back one backup each is kept. */
const KEPT = { day: 7, week: 8, month: 12 } as const;

/**
 * Which backups are kept: the newest of each of the last seven days, eight weeks and twelve months that have one. Days without a backup
 * take nobody's place, so a bench that is used on Sundays keeps seven Sundays.
 * @param at when each was made, epoch ms
 * @returns those to keep, newest first
 * @example keptOf([monday9, monday17, tuesday]) // [tuesday, monday17]
 */
export function keptOf(at: readonly number[]): number[] {
	const newestFirst = [...at].sort((a, b) => b - a);
	const kept = new Set<number>();
	for (const [unit, most] of Object.entries(KEPT) as [keyof typeof KEPT, number][]) {
		const seen = new Set<number>();
		for (const moment of newestFirst) {
			const of = DateTime.fromMillis(moment, { zone: 'utc' }).startOf(unit).toMillis();
			if (seen.has(of)) continue;
			if (seen.size >= most) break;
			seen.add(of);
			kept.add(moment);
		}
	}
	return newestFirst.filter((moment) => kept.has(moment));
}
