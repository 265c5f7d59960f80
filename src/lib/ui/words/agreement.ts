import type { Agreement } from '$lib/core/prints/agreement';
import { fixed, plural } from './numbers';
import { quantityName, quantityUnit, shifted } from './quantities';

/** Words for how far beyond chance two agree (Landis & Koch 1977). */
const BANDS = [
	[0.81, 'nearly always'],
	[0.61, 'well'],
	[0.41, 'fairly'],
	[0.21, 'a little'],
	[-1, 'hardly beyond chance']
] as const;

/**
 * How two scorers agree, in a sentence.
 * @example agreementWords(one) // 'Strings: Ada and Ben agree well (kappa 0.77, 95 % 0.65 to 0.90; 54 prints). ...'
 */
export function agreementWords({ def, scorers, n, kappa, difference }: Agreement): string {
	const [first, second] = scorers;
	const both = `${first} and ${second}`;
	const agree = kappa
		? `${both} agree ${BANDS.find(([from]) => kappa.kappa >= from)?.[1] ?? 'hardly beyond chance'} (kappa ${fixed(kappa.kappa, 2)}, 95 % ${fixed(kappa.low, 2)} to ${fixed(kappa.high, 2)}; ${plural(n, 'print')}).`
		: `${both} both scored ${plural(n, 'print')}.`;
	return `${quantityName(def)}: ${agree} ${milder({ def, scorers, difference })}`;
}

function milder({ def, scorers, difference: { mean, low, high } }: Pick<Agreement, 'def' | 'scorers' | 'difference'>): string {
	const [first, second] = scorers;
	const secondMilder = def.direction === 'less' ? mean < 0 : mean > 0;
	const size = `${shifted(def.id, Math.abs(mean))} ${def.words ? 'words' : quantityUnit(def.id)}`.trim();
	if (low === null || high === null) return `One print tells nothing of who is milder.`;
	if (low <= 0 && high >= 0)
		return `Neither is milder as far as these show (${size} apart, 95 % ${shifted(def.id, low)} to ${shifted(def.id, high)}).`;
	return `${secondMilder ? second : first} is the milder by ${size} (95 % ${shifted(def.id, low)} to ${shifted(def.id, high)}).`;
}
