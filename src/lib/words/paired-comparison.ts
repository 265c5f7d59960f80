import type { Contrast, PairedResult } from '$lib/core/stations/prints/ways/paired-comparison';
import { plural, upTo } from './numbers';
import { quantityName } from './quantities';
import { CONDITION_WORDS } from './closed-lists';
import { settingName } from './settings';

const NAMES: Record<string, string> = { spool: 'Spool', condition: 'Condition', printer: 'Printer', nozzle: 'Nozzle' };

/** What differs, by name. */
export const differenceName = (id: string): string => NAMES[id] ?? settingName(id).name;

/** A value of a difference as it is said. */
export function levelName(id: string, value: string): string {
	if (id === 'condition') return CONDITION_WORDS[value as keyof typeof CONDITION_WORDS];
	const { unit } = NAMES[id] ? { unit: '' } : settingName(id);
	return [value, unit].filter(Boolean).join(' ');
}

/**
 * What the pairs say of two ways, in a sentence.
 * @example pairedWords(result, { id: 'fanPct', first: '0', second: '50' }) // 'Overhang: fan 50 % did better than 0 %: 6 better, ...'
 */
export function pairedWords({ def, better, worse, same, p, rankP, pairs, outcome }: PairedResult, contrast: Contrast): string {
	const [first, second] = [levelName(contrast.id, contrast.first), levelName(contrast.id, contrast.second)];
	const counts = `${better} better, ${worse} worse, ${same} the same of ${plural(pairs.length, 'pair')}`;
	const tests = `exact sign test, p = ${upTo(p ?? 1, 3)}${rankP === null ? '' : `; signed ranks, p = ${upTo(rankP, 3)}`}`;
	const name = quantityName(def);
	switch (outcome) {
		case 'helped':
			return `${name}: ${second} did better than ${first}: ${counts} (${tests}).`;
		case 'hurt':
			return `${name}: ${second} did worse than ${first}: ${counts} (${tests}).`;
		case 'noDifference':
			return `${name}: no difference between ${first} and ${second} that these prints can show: ${counts} (${tests}).`;
		case 'tooFew':
			return `${name}: not enough pairs (${counts}); need six that differ.`;
	}
}
