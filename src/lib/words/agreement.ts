import type { Agreement, AgreementOfAll, Rater } from '$lib/core/stations/prints/marks/agreement';
import type { ScorerEffect } from '$lib/core/judging/trial/worked-out';
import { fixed, plural } from './numbers';
import { isInWords, quantityName, quantityUnit, shifted } from './quantities';

/** Words for how far beyond chance two agree (Landis & Koch 1977). */
const BANDS = [
	[0.81, 'nearly always'],
	[0.61, 'well'],
	[0.41, 'fairly'],
	[0.21, 'a little']
] as const;
const HARDLY = 'hardly beyond chance';

/**
 * How far agreement goes beyond chance, in words.
 * @example agreementBand(0.77) // 'well'
 */
export const agreementBand = (beyondChance: number): string => BANDS.find(([from]) => beyondChance >= from)?.[1] ?? HARDLY;

const ROUNDS = ['', 'second look', 'third look'];
const raterName = ({ scorer, round }: Rater): string => (round === 0 ? scorer : `${scorer} (${ROUNDS[round] ?? `look ${round + 1}`})`);

/**
 * How two raters agree, in a sentence.
 * @example agreementWords(one) // 'Strings: Ada and Ben agree well (kappa 0.77, 95 % 0.65 to 0.90; 54 prints). ...'
 */
export function agreementWords({ def, raters, n, kappa, difference }: Agreement): string {
	const both = raters.map(raterName).join(' and ');
	const agree = kappa
		? `${both} agree ${agreementBand(kappa.kappa)} (kappa ${fixed(kappa.kappa, 2)}, 95 % ${fixed(kappa.low, 2)} to ${fixed(kappa.high, 2)}; ${plural(n, 'print')}).`
		: `${both} both scored ${plural(n, 'print')}.`;
	return `${quantityName(def)}: ${agree} ${milder({ def, raters, difference })}`;
}

function milder({ def, raters, difference: { mean, low, high } }: Pick<Agreement, 'def' | 'raters' | 'difference'>): string {
	const [first, second] = raters.map(raterName);
	const secondMilder = def.direction === 'less' ? mean < 0 : mean > 0;
	const size = `${shifted(def.id, Math.abs(mean))} ${def.words ? 'words' : quantityUnit(def.id)}`.trim();
	if (low === null || high === null) return `One print tells nothing of who is milder.`;
	if (low <= 0 && high >= 0)
		return `No clear difference in strictness (${size} apart, 95 % ${shifted(def.id, low)} to ${shifted(def.id, high)}).`;
	return `${secondMilder ? second : first} is the milder by ${size} (95 % ${shifted(def.id, low)} to ${shifted(def.id, high)}).`;
}

/**
 * How several raters agree all together, in a sentence.
 * @example agreementOfAllWords(one) // 'Strings: Ada, Ben and Cy together agree well (alpha 0.72, 95 % 0.51 to 0.93; 36 scorings of 12 prints).'
 */
export function agreementOfAllWords({ def, raters, alpha: { alpha, low, high, n, scorings } }: AgreementOfAll): string {
	const names = raters.map(raterName);
	const together = `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
	const interval = low === null || high === null ? 'no interval' : `95 % ${fixed(low, 2)} to ${fixed(high, 2)}`;
	return `${quantityName(def)}: ${together} together agree ${agreementBand(alpha)} (alpha ${fixed(alpha, 2)}, ${interval}; ${scorings} scorings of ${plural(n, 'print')}).`;
}

/**
 * What one scorer's marks are shifted by, in a sentence.
 * @example leniencyWords(effect) // 'Strings: Ben marks 0.5 words lower than Ada for the same print (95 % 0.2 to 0.8; 24 scorings).'
 */
export function leniencyWords({ quantity, scorer, against, shift, low, high, scorings }: ScorerEffect): string {
	const unit = isInWords(quantity) ? 'words' : quantityUnit(quantity);
	const size = `${shifted(quantity, Math.abs(shift))} ${unit}`.trim();
	const span = `95 % ${shifted(quantity, low)} to ${shifted(quantity, high)}; ${scorings} scorings`;
	return `${quantityName({ id: quantity })}: ${scorer} marks ${size} ${shift < 0 ? 'lower' : 'higher'} than ${against} for the same print (${span}).`;
}
