import { fixed } from './numbers';
import { bareMass, massWords } from './units';

const pct = (share: number): string => fixed(share * 100, 2);

/** What came or went since the start, with its range. @example waterSinceStartWords({ waterG: 0.8, uG: 0.1 }) // 'Water since the start: +0.8 ± 0.2 g (filament used excluded).' */
export const waterSinceStartWords = ({ waterG, uG }: { waterG: number; uG: number }): string =>
	`Water since the start: ${waterG > 0 ? '+' : ''}${bareMass(waterG, 1)} ± ${massWords(2 * uG, 1)} (filament used excluded).`;

/** How wet it is beside the weighing that is counted from. */
export function waterNowWords({ share, low, high }: { share: number; low: number; high: number }, n: number, tareKnown: boolean): string {
	const range = `95 % range ${pct(low)} to ${pct(high)} %${tareKnown ? '' : ', for every likely empty spool'}`;
	return `Now ${pct(Math.abs(share))} % ${share < 0 ? 'below' : 'above'} the weighing you count from (${range}), n ${n}.`;
}
