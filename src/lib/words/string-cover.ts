import type { PhotoFault, StringCover } from '$lib/core/stations/prints/cover/measure-string-cover';
import { fixed, plural } from './numbers';

/**
 * What was measured, in a sentence.
 * @example stringCoverWords(found) // '5 strands cross, 4.6 % of the gap is covered; the photograph is clear'
 */
export function stringCoverWords({ count, coveragePct, quality }: Pick<StringCover, 'count' | 'coveragePct' | 'quality'>): string {
	if (quality === 'unusable') return 'This photograph cannot be measured.';
	return `${plural(count, 'strand')} ${count === 1 ? 'crosses' : 'cross'}, ${fixed(coveragePct, 1)} % of the gap is covered; the photograph is ${quality}`;
}

const FAULTS: Record<PhotoFault, string> = {
	corners: 'The four corners do not enclose a gap: set them on the inner edges of the spikes, two at the tips and two at the feet.',
	small: 'The gap has too few points: go nearer, or take the picture at its full size.',
	alike: 'Filament and background are nearly alike here, or it is too dark: take a ground of another colour and more light.',
	noisy: 'The picture is grainy: more light, a steadier hand.',
	dusty: 'Specks lie in the gap that are no strands: wipe the background, blow off the dust.'
};

/** What is wrong with a photograph, and what to do. */
export const photoFaultWords = (fault: PhotoFault): string => FAULTS[fault];
