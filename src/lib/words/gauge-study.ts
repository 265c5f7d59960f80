import type { GaugeStudy } from '$lib/core/stations/diameter/gauge-study';
import { fixed, plural, upTo } from './numbers';
import { bareLength, lengthWords, toleranceWords } from './units';

/** A study in the tester's words: what was found, and what to do about the largest part of it. */
export type StudyWords = {
	headline: string;
	parts: { name: string; sdMm: number; sharePct: number }[];
	advice: string;
	ofTolerances: string;
};

/** Up to this share of the tolerance a gauge is called good, from there to the next one usable (AIAG, 4th ed.). */
const GOOD_PCT = 10;
const USABLE_PCT = 30;
const TOLERANCES_MM = [0.02, 0.03, 0.05];

/**
 * Words of a gauge study.
 * @example studyWords(gaugeStudy(cells)).headline // 'In these hands it scatters by 0.0071 mm (95 % 0.0055 to 0.0102; 30 readings).'
 */
export function studyWords(study: GaugeStudy): StudyWords {
	const { places, raters, repeats } = study.size;
	const n = places * raters * repeats;
	const { low, high } = study.gaugeSdInterval;
	const total = study.totalSd ** 2;
	const part = (name: string, variance: number) => ({
		name,
		sdMm: Math.sqrt(variance),
		sharePct: total > 0 ? (variance / total) * 100 : 0
	});
	return {
		headline:
			study.gaugeSd === 0
				? `Every reading of a place was the same (${plural(n, 'reading')}): its scatter is hidden by the step of its display.`
				: `In these hands it scatters by ${lengthWords(study.gaugeSd, 4)} (95 % ${bareLength(low, 4)} to ${bareLength(high, 4)}; ${plural(n, 'reading')}), ${fixed(study.gaugePct, 0)} % of all the spread seen here.`,
		parts: [
			part('one rater, one place again', study.repeatability),
			...(raters > 1 ? [part('one person against another', study.raters)] : []),
			...(raters > 1 ? [part('raters at single places', study.interaction)] : []),
			part('the places themselves', study.places)
		],
		advice: adviceOf(study),
		ofTolerances: TOLERANCES_MM.map((tolerance) => widthWords(study.gaugeSd, tolerance)).join('; ')
	};
}

function adviceOf({ size, repeatability, raters, interaction, gaugeSd }: GaugeStudy): string {
	if (gaugeSd === 0) return 'A finer instrument would show more.';
	if (size.raters === 1) return 'One rater says nothing of how people differ; a second one would.';
	if (raters > repeatability && raters > interaction)
		return 'Most of it is one person against another: agree how hard the jaws close, or let one person measure.';
	if (interaction > repeatability) return 'Most of it is raters who see single places otherwise: mark the place and the direction.';
	return 'Most of it is the same hand at the same place: take two readings a place and go on with their mean.';
}

/** Six standard deviations of the gauge against the width of a tolerance. */
function widthWords(gaugeSd: number, toleranceMm: number): string {
	const pct = (6 * gaugeSd * 100) / (2 * toleranceMm);
	const word = pct <= GOOD_PCT ? 'good' : pct <= USABLE_PCT ? 'usable' : 'too coarse';
	return `${upTo(pct, 0)} % of ${toleranceWords(toleranceMm)}: ${word}`;
}
