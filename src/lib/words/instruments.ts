import type { Instrument } from '$lib/core/record/evidence/instrument';
import { decisiveness } from '$lib/core/stations/diameter/decisiveness';
import type { InstrumentBudget } from '$lib/core/stations/diameter/budget';
import { weighingUncertainty } from '$lib/core/stations/moisture/weighings';
import { day, fixed, upTo } from './numbers';
import { lengthWords, massWords, toleranceWords } from './units';

/** The tolerances labels usually state, mm. */
const USUAL_TOLERANCES_MM = [0.02, 0.03, 0.05];
const ABLE = {
	both: (of: string) => `confirm or reject ${of}`,
	evenFilament: (of: string) => `confirm ${of} only on even filament`,
	onlyBroken: (of: string) => `only reject ${of}`
};

/** What an instrument can show of the usual claims. @example ableWords(0.0115) // 'only reject ±0.02 mm, ...' */
export const ableWords = (uncertaintyMm: number): string =>
	USUAL_TOLERANCES_MM.map((of) => ABLE[decisiveness(uncertaintyMm, of).able](toleranceWords(of))).join(', ');

/** The last check in words. */
export function checkWords({ check }: Pick<InstrumentBudget, 'check'>): string {
	if (!check) return 'not checked yet';
	const scatter = check.repeatability === null ? 'no scatter from one reading' : `scatter ${lengthWords(check.repeatability, 4)}`;
	const bias = `${check.bias < 0 ? '−' : '+'}${lengthWords(Math.abs(check.bias), 4)}`;
	return `checked ${day(check.at)} against ${lengthWords(check.reference, 4, upTo)}: shows ${bias}, ${scatter}, n ${check.n}${check.near ? '' : '; too far from a strand to be used'}`;
}

/** The gauge study in force in words; null while there is none. */
export function studyInForceWords({ study }: Pick<InstrumentBudget, 'study'>): string | null {
	if (!study) return null;
	const people = study.raters > 1 ? `, people differ by ${lengthWords(study.ratersSd, 4)}` : '';
	const n = study.places * study.raters * study.repeats;
	return `gauge study ${day(study.at)}: scatter ${lengthWords(study.repeatabilitySd, 4)}${people}, n ${n}; see the study for ranges`;
}

/** The smallest change of water a scale sees between two weighings. */
export function scaleWords(scale: Pick<Instrument, 'errorLimit' | 'resolution'>): string {
	const g = 2 * Math.SQRT2 * weighingUncertainty(null, scale);
	return `sees changes of water over ${massWords(g, 1)}, ${fixed(g / 10, 2)} % of a kilogram`;
}
