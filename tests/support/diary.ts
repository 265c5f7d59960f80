import type { Attempt } from '../../src/lib/core/record/evidence/attempt';
import { attempt, event, evidence, mark } from './evidence';

export const DAY = 86_400_000;

/** Prints on days, each with its strings mark, from a spool that was dried on others. */
export function diary(
	prints: [day: number, strings: number | null, more?: Partial<Attempt>][],
	dryings: number[],
	dryForH: number | null = null
) {
	const attempts = prints.map(([day, , more]) => attempt({ at: day * DAY, ...more }));
	return evidence({
		attempts,
		readings: prints.flatMap(([, value], i) => (value === null ? [] : [mark(attempts[i] as Attempt, 'strings', value)])),
		events: dryings.map((day) => event({ kind: 'dried', at: day * DAY })),
		dryForH
	});
}
