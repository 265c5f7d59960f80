import type { SpecimenMeasure } from '../../record/evidence/specimen';
import type { Basis } from '../../judging/trial/basis';
import type { QuantityDef } from '../../judging/finding/types';

type Of = Pick<Basis, 'strengthHighN' | 'specimenKinds'>;
type OfLoad = Of & Pick<Basis, 'loadUnit'>;

/**
 * Mean load at which specimens of the compared kind break. The top of the scale is the trial's, in N; a twentieth of it matters.
 * @example strengthLoad({ strengthHighN: 400, loadUnit: 'N', specimenKinds: { load: null, blows: null, byHand: null } }).differenceThatMatters // 20
 */
export const strengthLoad = (basis: OfLoad): QuantityDef => ({
	id: 'strengthLoad',
	station: 'strength',
	unit: 'N',
	...(basis.loadUnit === 'N' ? {} : { shownIn: basis.loadUnit }),
	direction: 'more',
	target: null,
	scale: { low: 0, high: basis.strengthHighN },
	prior: { low: basis.strengthHighN / 20, high: basis.strengthHighN * 0.8 },
	differenceThatMatters: basis.strengthHighN / 20,
	figure: 'loads',
	onSheet: true,
	family: 'holds'
});

/**
 * Mean number of blows until a specimen breaks. A column only where somebody counted blows.
 * @example strengthBlows({ strengthHighN: 400, specimenKinds: { load: null, blows: null, byHand: null } }).onSheet // false
 */
export const strengthBlows = (basis: Of): QuantityDef => ({
	id: 'strengthBlows',
	station: 'strength',
	unit: '',
	direction: 'more',
	target: null,
	scale: { low: 0, high: 20 },
	prior: { low: 1, high: 15 },
	differenceThatMatters: 2,
	figure: 'loads',
	onSheet: basis.specimenKinds.blows !== null,
	family: 'holds'
});

/**
 * How a piece gives way in the hands, in five words. A column only where somebody said one.
 * @example strengthByHand({ strengthHighN: 400, specimenKinds: { load: null, blows: null, byHand: 'hook' } }).onSheet // true
 */
export const strengthByHand = (basis: Of): QuantityDef => ({
	id: 'strengthByHand',
	station: 'strength',
	unit: '',
	direction: 'more',
	target: null,
	scale: { low: 0, high: 4 },
	prior: { low: 0, high: 4 },
	differenceThatMatters: 1,
	figure: 'words',
	onSheet: basis.specimenKinds.byHand !== null,
	family: 'holds',
	words: ['byHand.crumbles', 'byHand.snaps', 'byHand.resists', 'byHand.bends', 'byHand.holds']
});

/** What each way of loading is told in. */
export const MEASURE_OF: Record<'direct' | 'steps' | 'blows' | 'byHand', SpecimenMeasure> = {
	direct: 'load',
	steps: 'load',
	blows: 'blows',
	byHand: 'byHand'
};
