import type { QuantityDef } from '$lib/core/judging/finding/types';
import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
import { GRADE_WORDS, quantityName, valueWords } from '../../words/quantities';
import { CONDITION_WORDS } from '../../words/closed-lists';

const KIND: Record<string, string> = { confidence: '95 %', tolerance: 'tolerance', credible: '95 %', bounds: 'range' };

/** The interval of a finding in words, or that it has none. */
export function intervalWords(finding: ShownFinding, def: Pick<QuantityDef, 'id' | 'unit' | 'scale'>, currency = ''): string {
	if (!finding.interval) return finding.sampling.kind === 'exact' ? 'exact, no interval' : 'no interval';
	const { low, high, kind } = finding.interval;
	return `${valueWords(def, low, currency)} to ${valueWords(def, high, currency)} (${KIND[kind] ?? kind})`;
}

/** A finding as one line: what, value, n, interval, grade. For labels, focus text and tables. */
export function findingLabel(finding: ShownFinding, def: Pick<QuantityDef, 'id' | 'unit' | 'scale' | 'name'>, currency = ''): string {
	const condition = finding.subject.condition ? `, ${CONDITION_WORDS[finding.subject.condition]}` : '';
	const value = finding.estimate === null ? 'no value yet' : valueWords(def, finding.estimate, currency);
	return `${quantityName(def)}${condition}: ${value}, n ${finding.n}, ${intervalWords(finding, def, currency)}, ${GRADE_WORDS[finding.grade]}`;
}
