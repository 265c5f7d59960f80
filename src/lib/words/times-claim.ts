import type { TimesTold } from '$lib/core/stations/strength/times-claim';
import { kindWords } from './closed-lists';
import { plural, upTo } from './numbers';

const ANSWERS = { kept: 'so it keeps its word', broken: 'less than it is said to be', open: 'too few parts to say' } as const;

/** A maker's "n times as strong" beside the house spool. @example timesWords(told) // 'Said to be 3 times as strong. Beside HU4, your house spool, 1.2 times ...' */
export function timesWords({ stated, house, judged }: TimesTold): string {
	const said = `Said to be ${upTo(stated, 2)} times as strong.`;
	if (house === null) return `${said} There is no house spool to hold it against.`;
	if (!judged) return `${said} Load test parts of one kind of it and of ${house}, your house spool, to see.`;
	const { ratio, low, high, n, nOther, variant, outcome } = judged;
	return `${said} Beside ${house}, your house spool: ${upTo(ratio, 2)} times (${upTo(low, 2)} to ${upTo(high, 2)}; ${plural(n, 'part')} and ${nOther}, ${kindWords(variant)}): ${ANSWERS[outcome]}.`;
}
