import { nth } from '$lib/core/kernel/lists/nth';
import type { Explanation } from '$lib/core/answers/pick/explain';
import type { Chances, GateResult, PickRow } from '$lib/core/answers/pick/types';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import type { ValueRule } from '$lib/core/judging/trial/protocol';
import { chance, fixed, plural, upTo } from './numbers';
import { inSentence, quantityName, valueWords } from './quantities';
import { RULE_WORDS } from './closed-lists';

type Words = { defs: QuantityDef[]; currency: string; codeOf: (spoolId: string) => string };

const nameOf = (id: string, defs: QuantityDef[]) => {
	const def = defs.find((d) => d.id === id);
	return def ? inSentence(def) : id;
};

/** From this chance on one is clearly the best, or the better bet. */
const CLEAR = 0.8;
const LIKELY = 0.6;
/** So many are named; of more only the number is told. */
const NAMED = 3;

/** The pick in one sentence, with how sure it is. */
export function pickSentence(rows: readonly PickRow[], chances: Chances, rule: ValueRule, currency = ''): string {
	const passing = rows.filter((r) => r.eligible && !r.neverFinished);
	const [first, second] = passing;
	if (rows.length === 0) return 'There is no spool to pick from yet.';
	if (!first) return rows.some((r) => r.eligible) ? 'No spool has finished a print yet.' : 'No spool meets the limits.';
	// A price alone says what is cheapest, not what is good.
	if (rule !== 'cheapest' && !passing.some(isMeasured)) return 'Nothing that counts was measured yet: there is nothing to pick on.';
	if (!second)
		return rows.length === 1
			? `${first.code} is the only spool here: there is nothing to choose from.`
			: `${first.code} is the only one that meets the limits.`;
	const early = rule === 'cheapest' ? null : tooEarly(passing, rule, chances);
	if (early) return early;
	return rule === 'cheapestOfBest' ? tierSentence(passing, chances, currency) : ruleSentence(passing, chances);
}

/** Whether anything but the price is known of it. */
const isMeasured = (row: PickRow): boolean => row.families.some((f) => f.known);

/**
 * A spool is not as good as others because nobody looked at it: where the first, or one that cannot be told apart from it, was not measured at all, that is
 * said, and nothing is to be bought yet.
 */
function tooEarly(passing: readonly PickRow[], rule: ValueRule, chances: Chances): string | null {
	const first = nth(passing, 0);
	const rivals = rule === 'cheapestOfBest' ? passing.filter((r) => r.tier === first.tier) : [first];
	const unseen = rivals.filter((r) => !isMeasured(r));
	if (unseen.length === 0 || shareOf(first, chances) >= CLEAR) return null;
	const codes = unseen.length > NAMED ? plural(unseen.length, 'spool') : listed(unseen.map((r) => r.code));
	return isMeasured(first)
		? `${first.code} leads so far, but nothing that counts was measured on ${codes} yet.`
		: `Too early to say: nothing that counts was measured on ${codes} yet.`;
}

const shareOf = (row: PickRow, chances: Chances): number => chances.places[row.spoolId]?.[0] ?? 0;

/** Those with the greatest chance, told with it: `55 % chance to be best, LA3 41 %`. */
function chanceWords(first: PickRow, rows: readonly PickRow[], chances: Chances, to: string): string {
	const [rival] = rows.filter((r) => r !== first).sort((a, b) => shareOf(b, chances) - shareOf(a, chances));
	const other = rival ? `, ${rival.code} ${chance(shareOf(rival, chances), chances.draws)}` : '';
	return `${chance(shareOf(first, chances), chances.draws)} chance to be ${to}${other}`;
}

/** Clear, the better bet, or as good as some others and the cheapest of them; who is likelier the best and dearer is named. */
function tierSentence(passing: readonly PickRow[], chances: Chances, currency: string): string {
	const first = nth(passing, 0);
	const alike = passing.filter((r) => r.tier === first.tier && r !== first);
	const share = shareOf(first, chances);
	if (alike.length === 0) return `Buy ${first.code}: ${chanceWords(first, passing, chances, 'the best')}.`;
	if (share >= CLEAR)
		return `Buy ${first.code}: ${chanceWords(first, passing, chances, 'the best')}, and it is the cheapest of those that come near.`;
	if (share >= LIKELY) return `${first.code} is the better bet: ${chanceWords(first, passing, chances, 'the best')}.`;
	const others = alike.length <= NAMED ? listed(alike.map((r) => r.code)) : `${alike.length} others`;
	const likelier = alike.find((r) => shareOf(r, chances) >= LIKELY);
	if (likelier && first.cost !== null) {
		const told = chance(shareOf(likelier, chances), chances.draws);
		const dearer =
			likelier.cost === null ? 'its price is not known' : `it costs ${fixed(likelier.cost - first.cost, 2)} ${currency} a kg more`;
		return `Buy ${first.code}, the cheapest of ${alike.length + 1} that these tests cannot tell apart for sure. ${likelier.code} is the likelier best (${told}), but ${dearer}.`;
	}
	if (first.cost === null)
		return `${first.code} and ${others} are as good as each other, as far as these tests can tell; none of them has a price.`;
	return `Buy ${first.code}: as good as ${others}, as far as these tests can tell, and the cheapest.`;
}

const listed = (codes: readonly string[]): string =>
	codes.length < 2 ? codes.join('') : `${codes.slice(0, -1).join(', ')} and ${codes.at(-1)}`;

function ruleSentence(passing: readonly PickRow[], chances: Chances): string {
	const first = nth(passing, 0);
	const best = Math.max(...passing.map((r) => shareOf(r, chances)));
	const share = shareOf(first, chances);
	const words = chanceWords(first, passing, chances, 'first');
	if (share >= CLEAR) return `Buy ${first.code}: ${words}.`;
	if (share >= 0.5) return `${first.code} is the better bet: ${words}.`;
	return share < best
		? `${first.code} leads on average, but others are first more often: ${words}.`
		: `${first.code} leads, too close to call: ${words}.`;
}

export function gateWords(gate: GateResult, { defs, currency }: Words): string {
	const def = defs.find((d) => d.id === gate.quantity);
	if (!def) return gate.quantity;
	const limit = `${quantityName(def)} ${gate.gate.op === 'atLeast' ? 'at least' : 'at most'} ${valueWords(def, gate.gate.limit, currency)}`;
	if (gate.by === null) return `${limit}: unclear, nothing measured`;
	const seen = gate.n === 0 ? 'by the handbook' : `n\u00a0${gate.n}`;
	if (gate.state === 'undecided') return `${limit}: unclear, ${seen}`;
	// Per cent of a share is a distance in points.
	const distance =
		def.id === 'printSuccess' || def.id === 'diameterOutside'
			? `${upTo(Math.abs(gate.by) * 100, 0)} points`
			: valueWords(def, Math.abs(gate.by), currency);
	return `${limit}: ${gate.state === 'pass' ? 'met' : 'missed'} by ${distance}, ${seen}`;
}

/** What decided it, what would turn it, what other rules pick. */
export function explanationLines(explanation: Explanation, rows: readonly PickRow[], words: Words): string[] {
	const { defs, codeOf } = words;
	const [first, second] = rows.filter((r) => r.eligible);
	const lines: string[] = [];
	if (explanation.decidedBy && first && second)
		lines.push(
			`Biggest difference between ${first.code} and ${second.code}: ${nameOf(explanation.decidedBy.quantity, defs)}, ${upTo(explanation.decidedBy.lead * 100, 1)} of 100 points.`
		);
	const others = explanation.otherRules.map(
		(other) =>
			`${RULE_WORDS[other.rule]}: ${other.spoolId ? codeOf(other.spoolId) : `nobody, for want of a ${other.rule === 'strongest' ? 'load' : 'price'}`}`
	);
	if (others.length > 0) lines.push(`Other rules would pick: ${others.join('; ')}.`);
	return lines;
}

/**
 * The act that would make the order surer, and of what.
 * @param again whether it was done before
 */
export function usefulNext(
	firmUp: { quantity: string; spoolId: string },
	{ defs, codeOf }: Words,
	again: boolean
): { text: string; station: string; spoolId: string } {
	const code = codeOf(firmUp.spoolId);
	const station = firmUp.quantity === 'costPerGoodKg' ? 'prints' : (defs.find((d) => d.id === firmUp.quantity)?.station ?? 'prints');
	const name =
		station === 'prints' && ['costPerGoodKg', 'printSuccess'].includes(firmUp.quantity)
			? 'share of finished prints'
			: nameOf(firmUp.quantity, defs);
	const act = `${ACTS[station]?.(code) ?? `Measure ${code}`}${again && station !== 'drying' ? ' again' : ''}`;
	return { text: `${act}: its ${name} is ${again ? 'the least sure' : 'not known'}.`, station, spoolId: firmUp.spoolId };
}

const ACTS: Record<string, (code: string) => string> = {
	prints: (code) => `Print ${code}`,
	strength: (code) => `Load a test part of ${code}`,
	moisture: (code) => `Weigh ${code}`,
	drying: (code) => `Weigh ${code} before and after a drying`
};

/**
 * The heading over a group of the ranking: what cannot be told apart, what is behind, what is out.
 * @param inFirst how many spools the first tier has
 */
export function groupWords(row: PickRow, inFirst = 2): string {
	if (row.neverFinished) return 'No good print yet';
	if (!row.eligible) return 'Misses a limit';
	if (row.tier !== 0) return 'Behind these';
	return inFirst === 1 ? 'The best' : 'Cannot be told apart';
}
