import type { Explanation } from '$lib/core/pick/explain';
import type { Chances, GateResult, PickRow } from '$lib/core/pick/types';
import type { QuantityDef } from '$lib/core/finding/types';
import { chance, grouped, percent, upTo } from '../words/numbers';
import { quantityName, valueWords } from '../words/quantities';
import { RULE_WORDS } from '../words/closed-lists';

type Words = { defs: QuantityDef[]; currency: string; codeOf: (spoolId: string) => string };

const nameOf = (id: string, defs: QuantityDef[]) => {
	const def = defs.find((d) => d.id === id);
	return def ? quantityName(def).toLowerCase() : id;
};

/** The pick in one sentence, with how sure it is. */
export function pickSentence(rows: readonly PickRow[], chances: Chances | null): string {
	const [first, second] = rows.filter((r) => r.eligible);
	if (rows.length === 0) return 'There is no spool to pick from yet.';
	if (!first) return 'No spool passes the gates.';
	if (first.knownShare === 0) return 'Nothing weighed was measured yet: there is nothing to pick on.';
	if (!second) return `${first.code} is the only one that passes.`;
	const of = (row: PickRow) => chances?.places[row.spoolId]?.[0] ?? null;
	const share = of(first);
	if (share === null || !chances) return `${first.code} leads.`;
	const rival = [...rows].sort((a, b) => (of(b) ?? 0) - (of(a) ?? 0)).find((r) => r !== first) ?? second;
	const rest = `first in ${chance(share, chances.draws)} of ${grouped(chances.draws)} draws of what the findings allow, ${rival.code} in ${chance(of(rival) ?? 0, chances.draws)}`;
	if ((of(rival) ?? 0) > share)
		return `On the estimates ${first.code} leads, but it rests on less: ${rival.code} is first in ${chance(of(rival) ?? 0, chances.draws)} of ${grouped(chances.draws)} draws of what the findings allow, ${first.code} in ${chance(share, chances.draws)}.`;
	if (share >= 0.8) return `Take ${first.code}: ${rest}.`;
	if (share >= 0.5) return `${first.code} is the better bet: ${rest}.`;
	return `${first.code} leads, but it is not decided: ${rest}.`;
}

export function gateWords(gate: GateResult, { defs, currency }: Words): string {
	const def = defs.find((d) => d.id === gate.quantity);
	if (!def) return gate.quantity;
	const limit = `${quantityName(def)} ${gate.gate.op === 'atLeast' ? 'at least' : 'at most'} ${valueWords(def, gate.gate.limit, currency)}`;
	if (gate.by === null) return `${limit}: undecided, nothing measured`;
	// Per cent of a share is a distance in points.
	const distance =
		def.id === 'printSuccess' || def.id === 'diameterOutside'
			? `${upTo(Math.abs(gate.by) * 100, 0)} points`
			: valueWords(def, Math.abs(gate.by), currency);
	const side = gate.by >= 0 ? 'on the good side' : 'on the bad side';
	return `${limit}: ${gate.state === 'pass' ? 'passed' : gate.state === 'fail' ? 'failed' : 'undecided'} (${distance} ${side}, ${gate.n === 0 ? 'by the book, not measured' : `n ${gate.n}`})`;
}

/** What decided it, what would turn it, what would firm it up, what other rules pick. */
export function explanationLines(explanation: Explanation, rows: readonly PickRow[], words: Words): string[] {
	const { defs, codeOf } = words;
	const [first, second] = rows.filter((r) => r.eligible);
	const lines: string[] = [];
	if (explanation.decidedBy && first && second)
		lines.push(
			`What parts ${first.code} from ${second.code} most is ${nameOf(explanation.decidedBy.quantity, defs)}: ${upTo(explanation.decidedBy.lead * 100, 1)} points of 100 on the estimates.`
		);
	if (explanation.turnsAt && second)
		lines.push(
			`A weight of ${upTo(explanation.turnsAt.to, 1)} instead of ${upTo(explanation.turnsAt.from, 1)} on ${nameOf(explanation.turnsAt.quantity, defs)} would put ${second.code} first.`
		);
	else if (second && explanation.decidedBy) lines.push('No single weight, however moved, would turn first and second.');
	if (explanation.firmUp) lines.push(firmUpLine(explanation.firmUp, defs, codeOf));
	for (const other of explanation.otherRules)
		lines.push(
			`By the rule “${RULE_WORDS[other.rule]}” the pick would be ${other.spoolId ? codeOf(other.spoolId) : 'nobody, for want of a price'}.`
		);
	return lines;
}

/** Which act would firm the order up most, said as the act it is. */
function firmUpLine(firmUp: { quantity: string; spoolId: string }, defs: QuantityDef[], codeOf: (id: string) => string): string {
	const code = codeOf(firmUp.spoolId);
	const name = nameOf(firmUp.quantity, defs);
	const station = defs.find((d) => d.id === firmUp.quantity)?.station;
	if (firmUp.quantity === 'printSuccess' || station === 'cost')
		return `What would firm it up most: more prints of ${code}, since few prints say little of its failures.`;
	if (station === 'strength') return `What would firm it up most: more specimens of ${code}, for its ${name}.`;
	if (station === 'moisture' || station === 'drying') return `What would firm it up most: more weighings of ${code}, for its ${name}.`;
	if (station === 'prints') return `What would firm it up most: another print of ${code}, for its ${name}.`;
	return `What would firm it up most: more readings of ${code}, for its ${name}.`;
}

export function knownWords(row: PickRow): string {
	return row.knownShare >= 0.9995 ? 'all of the weight rests on evidence' : `${percent(row.knownShare)} of the weight rests on evidence`;
}
