import type { Station } from '../../judging/station/station';
import { findMean } from './find-mean';
import { findInside, findOutside } from './find-share';
import { findFlow, findOvality, findSpread } from './find-spread';
import { diameterInside, diameterMean, diameterOutside, diameterSpread, flowRatio, ovalityOf } from './quantities';
import { strandSubject } from './subject';

export const diameterStation: Station = {
	id: 'diameter',
	quantities: (basis) => [diameterMean(basis), diameterInside, diameterOutside, diameterSpread, ovalityOf, flowRatio],
	find(evidence, basis) {
		const subject = strandSubject(evidence, basis);
		return [findMean(subject), ...findInside(subject), findOutside(subject), findSpread(subject), findOvality(subject), findFlow(subject)];
	},
	next: (findings) => findings.filter((f) => f.quantity === 'diameterMean').flatMap((f) => f.missing)
};
